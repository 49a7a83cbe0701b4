import * as z from "zod";

/** A value that a student foretold before a line of a dry run: what it became, and whether the guess was right. */
const guessSchema = z.object({
  line: z.number().int().min(1),
  name: z.string().max(100),
  guess: z.string().max(200),
  became: z.string().max(200),
  right: z.boolean(),
});
export type Guess = z.infer<typeof guessSchema>;

/** Guesses that are kept of an exercise, the last ones. */
export const mostGuesses = 200;

/** What a student notes while going through a program: guesses, and the trouble told in the student's own words. It earns nothing. */
export const ownNoteSchema = z.object({
  told: z.string().max(5000),
  guesses: z.array(guessSchema).max(mostGuesses),
});
export type OwnNote = z.infer<typeof ownNoteSchema>;

/** Under which name such a note is kept beside the answers. */
export function ownNoteName(exercise: string): string {
  return `own ${exercise}`;
}

/** A note from what is kept; an empty one where there is none that can be read. */
export function ownNote(kept: unknown): OwnNote {
  const read = ownNoteSchema.safeParse(kept);
  return read.success ? read.data : { told: "", guesses: [] };
}

/** A note with some more guesses, the oldest giving way. */
export function withGuesses(note: OwnNote, guesses: readonly Guess[]): OwnNote {
  return { ...note, guesses: [...note.guesses, ...guesses].slice(-mostGuesses) };
}
