import { setTimeout } from "node:timers/promises";
import { createGuesses, type Guesses } from "./guesses.ts";

/**
 * Slows down the guessing of addresses that have no label: receipts, sheets, courses. A class may share a network
 * address, so nobody is locked out.
 */
export type Slowing = {
  /**
   * Resolves at once, or for an address of many unknown ones in its turn, one after the other. False if too many wait
   * already.
   */
  turn: (address: string) => Promise<boolean>;
  unknown: (address: string) => void;
};

/** `most` unknown ones are free; then one look takes `pause` milliseconds, and `mostWaiting` may wait. */
export function createSlowing({ most = 40, pause = 2000, mostWaiting = 12, now = Date.now } = {}): Slowing {
  const guesses: Guesses = createGuesses(
    { most, mostOfAddress: Number.POSITIVE_INFINITY, mostOfName: Number.POSITIVE_INFINITY },
    now,
  );
  const lines = new Map<string, { waiting: number; end: Promise<unknown> }>();
  return {
    unknown: (address) => guesses.wrong(address, ""),
    turn: async (address) => {
      if (guesses.refusal(address, "") === null) return true;
      const line = lines.get(address) ?? { waiting: 0, end: Promise.resolve() };
      if (line.waiting >= mostWaiting) return false;
      lines.set(address, line);
      line.waiting += 1;
      line.end = line.end.then(() => setTimeout(pause));
      await line.end;
      line.waiting -= 1;
      if (line.waiting === 0) lines.delete(address);
      return true;
    },
  };
}

/** That of this server. */
export const slowing = createSlowing();
