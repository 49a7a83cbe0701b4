import { firstGivenBy } from "../../edits/exchanged.ts";
import { blocksOf, calledName, namesIn } from "../../edits/places.ts";
import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** Calls that look for a place in a text or list, in one of our languages. */
const looksFor = /^(?:pos|find|rfind|index|indexof|lastindexof|strfind|strstr|length|len|size)$/i;
/** Calls that cut the first value that they are handed. */
const cuts = /^(?:delete|insert|setlength)$/i;

/** The names of what a statement makes another one. */
function changedBy(statement: SyntaxNode): string[] {
  const given = firstGivenBy(statement);
  if (given) return given.target.kind === "name" ? [given.target.sign ?? ""] : [];
  const call = nodesOf(statement).find((each) => each.kind === "call" && cuts.test(calledName(each)));
  return call?.children.find(({ role }) => role === "argument")?.sign ? [part(call, "argument")?.sign ?? ""] : [];
}

/** A place in a text is worked out, the text is cut, and the place is used as if it still held. */
export const positionStale: Mistake = {
  id: "stored-position-stale",
  weight: 92,
  find: (context) =>
    blocksOf(context).flatMap(({ statements }) =>
      statements.flatMap((statement, at) => {
        const given = firstGivenBy(statement);
        const name = given?.target.kind === "name" ? (given.target.sign ?? "") : "";
        if (!given || name === "" || given.value.kind !== "call" || !looksFor.test(calledName(given.value))) return [];
        const owner = part(given.value, "callee");
        const texts = [...namesIn(given.value), ...(owner ? namesIn(owner) : [])];
        let cutAt: SyntaxNode | undefined;
        for (const next of statements.slice(at + 1)) {
          const changed = changedBy(next);
          const used = namesIn(next);
          const asks = nodesOf(next).flatMap((each) =>
            each.kind === "call" || each.kind === "index" ? namesIn(each) : [],
          );
          if (cutAt && asks.includes(name) && texts.some((text) => used.includes(text) && !changed.includes(text)))
            return [
              {
                line: context.lineOf(cutAt.from),
                names: [name],
                why: `“${name}” was worked out at line ${context.lineOf(statement.from)}, before this line changed what it is a place of; line ${context.lineOf(next.from)} uses it.`,
              },
            ];
          if (changed.includes(name)) return [];
          if (changed.some((each) => texts.includes(each))) cutAt ??= next;
        }
        return [];
      }),
    ),
  examples: [
    {
      language: "pascal",
      text: "begin\n  p := Pos('-', line);\n  first := Copy(line, 1, p - 1);\n  Delete(line, 1, p);\n  if p > 0 then\n    rest := Copy(line, 1, p - 1);\nend.\n",
      line: 4,
    },
    {
      language: "python",
      text: 'at = line.find(";")\nline = line[3:]\nprint(line[:at])\n',
      line: 2,
    },
  ],
};
