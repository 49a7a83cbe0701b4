import { sameValue } from "../../core/exercises/cellValues.ts";
import type { Guess } from "../../core/exercises/ownNote.ts";

/** What was guessed of a watched name, and what it holds after the line; "" where it has no value. */
export type GuessOf = { name: string; guess: string; became: string };

/** A guess with whether it was right: values count as in trace tables, not how they are written. */
export function judged(line: number, { name, guess, became }: GuessOf): Guess {
  return {
    ...{ line, name: name.slice(0, 100), guess: guess.slice(0, 200), became: became.slice(0, 200) },
    right: sameValue(guess, became),
  };
}
