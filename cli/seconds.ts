import { InvalidArgumentError } from "commander";

/** A number of seconds as an option is given: 0 to 600. */
export function secondsOf(text: string): number {
  const seconds = Number(text);
  if (text.trim() === "" || !Number.isFinite(seconds) || seconds < 0 || seconds > 600)
    throw new InvalidArgumentError("a number of seconds from 0 to 600");
  return seconds;
}
