import type { OwnWarning, OwnWarningRule } from "../languages/language.ts";
import { tokensByLine } from "../languages/lexical.ts";
import type { Token } from "../languages/token.ts";
import { areSimilar } from "../source/spelling.ts";

const folded = (token: Token): string => token.text.toLowerCase().replace(/[%&!@$]$/, "");

/** True for a name that stands for a value of its own: no part of an object, no type, no label. */
function isRead(line: readonly Token[], index: number): boolean {
  const [before, token, next] = [line[index - 1], line[index], line[index + 1]];
  if (token?.kind !== "name" || before?.text === "." || next?.text === ":=") return false;
  if (before && /^(?:as|goto|gosub|resume|new|sub|function|end|exit)$/i.test(before.text)) return false;
  return !(index === 0 && (next?.text === ":" || next === undefined || next.line !== token.line));
}

/**
 * Names that are read and that nothing declares or gives a value, in a Basic that makes a new empty variable of such a name. Where another
 * name is spelt alike it is said.
 */
export const newEmpty: OwnWarningRule = ({ language, code }) => {
  const lines = [...tokensByLine(code)];
  if (lines.some(([, line]) => /^option explicit$/i.test(line.map((token) => token.text).join(" ")))) return [];
  const given = new Map<string, string>();
  for (const [, line] of lines) {
    for (const name of language.assignedNames(line)) given.set(name.toLowerCase().replace(/[%&!@$]$/, ""), name);
    const routine = line.findIndex((token) => /^(?:sub|function)$/i.test(token.text));
    const name = line[routine + 1];
    if (routine >= 0 && name?.kind === "name") given.set(folded(name), name.text);
    // What stands in a read of a file, or is handed to a routine of the program, may be given a value there.
    if (line.some((token) => /^(?:input|redim|type)$/i.test(token.text)))
      for (const token of line) if (token.kind === "name") given.set(folded(token), token.text);
  }
  const told = new Set<string>();
  return lines.flatMap(([line, tokens]) =>
    tokens.flatMap((token, index): OwnWarning[] => {
      const name = folded(token);
      if (!isRead(tokens, index) || given.has(name) || language.ownWords.has(token.text) || told.has(name)) return [];
      if (language.ownWords.has(name) || tokens[index + 1]?.text === "(") return [];
      told.add(name);
      const alike = [...given].find(([other]) => areSimilar(other, name))?.[1];
      return [
        {
          line,
          kind: "not set",
          says: `“${token.text}” is given a value nowhere: here it is a new empty variable.`,
          usually: alike === undefined ? "It is misspelt, or its value is missing." : `“${alike}” may be meant.`,
        },
      ];
    }),
  );
};
