import { change } from "../../edits/edit.ts";
import { example } from "../example.ts";
import { byNotice, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A handler takes every error, so that a fault of the program is hidden. */
export const handlerCatchesTooMuch: Pattern = {
  id: "handler-catches-too-much",
  name: "A handler that catches too much",
  says: "A handler takes every error, so that a fault of the program is hidden.",
  mends: "Catch only what is expected.",
  cause: "A handler for everything also takes the slips of the program itself.",
  avoid: "Name the one error that is expected.",
  fault: true,
  grounds: [
    byNotice("handler-catches-too-much", 1),
    // What came out first of what was not meant is what a handler for all says.
    byText(({ class: of, noticed, lines, suspected }) => {
      const handler = noticed.find(({ id }) => id === "handler-catches-too-much");
      if (of !== "logic" || !handler) return null;
      const indent = (line: number) => (lines[line - 1] ?? "").search(/\S/);
      const isSaidThere = suspected.slice(0, 3).some((line) => {
        const between = Array.from({ length: Math.max(0, line - handler.line) }, (_, at) => handler.line + 1 + at);
        return (
          line > handler.line &&
          // A brace that stands below the head of its block, and lines without anything, do not end it.
          between.every((each) => /^\s*\{?\s*$/.test(lines[each - 1] ?? "") || indent(each) > indent(handler.line))
        );
      });
      return isSaidThere ? { line: handler.line, why: handler.why } : null;
    }, 1),
  ],
  examples: [
    example(
      "python",
      `loads = {"tern": 12}
try:
    print(«loads¦load»["tern"])
except Exception:
    print("no such ferry")
`,
    ),
  ],
  plants: ({ code }) =>
    code.flatMap((token, at) => {
      const named = code[at + 1];
      return token.text === "except" && named?.kind === "name" && named.text !== "Exception"
        ? [change(named, "Exception")]
        : [];
    }),
};
