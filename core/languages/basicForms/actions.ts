import type { UserActions } from "../language.ts";
import { lookedThrough } from "./refusals.ts";

const isName = (text: string | undefined) => /^[\p{L}_][\p{L}\p{Nd}_]*$/u.test(text ?? "");

/** What is wrong with one line of what the user does; null where nothing is (docs/typed-basic.md). */
function problemOf(line: string): string | null {
  const [word = "", name, ...rest] = line.trim().split(/\s+/);
  switch (word.toLowerCase()) {
    case "":
    case "answer":
      return null;
    case "close":
      return name === undefined ? null : "behind close stands nothing";
    case "type":
      return isName(name) ? null : "behind type stands the name of a box, and what is typed into it";
    case "press":
    case "tick":
    case "untick":
    case "ring":
      return isName(name) && rest.length === 0 ? null : `behind ${word} stands the name of what is meant`;
    case "choose":
      return isName(name) && rest.length > 0
        ? null
        : "behind choose stand the name of a list and what is chosen of it, or its place";
    default:
      return `“${word}” is none of type, press, tick, untick, choose, answer, ring, close`;
  }
}

/** What the user of a form does, a line each. */
const formActions: UserActions = {
  label: "What the user does",
  note: "a line each: type txtFare 3.50 · press btnWork · tick chkReturn · untick chkReturn · choose lstBoats Puffin · answer 5 (to a box that asks) · close.",
  problems: (input) =>
    input.split(/\r\n|\n|\r/).flatMap((line, at) => {
      const says = problemOf(line);
      return says === null ? [] : [{ line: at + 1, says }];
    }),
};

/** How what the user of a program does is written: for one that begins with a form; null for one that is typed in to. */
export const actionsOfBasic = (program: string): UserActions | null =>
  lookedThrough([{ name: "Program.vb", text: program }]).form ? formActions : null;
