import { data } from "react-router";
import { slowing } from "../server/people/slowGuessing.ts";

/**
 * Waits where a network address has asked for many unknown codes or receipts; throws the answer for it if too many of
 * its looks wait already.
 */
export async function slowGuessing(address: string): Promise<void> {
  if (!(await slowing.turn(address)))
    throw data("Too many unknown codes were tried from this network. Wait a little and try again.", { status: 429 });
}

/** The answer for what is not there; it counts as a guess of this network address. */
export function unknownAddress(address: string, words: string) {
  slowing.unknown(address);
  return data(words, { status: 404 });
}
