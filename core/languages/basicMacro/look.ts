import { isWord, parametersOf } from "../basic/lines.ts";
import { tokensByLine } from "../lexical.ts";
import type { Token } from "../token.ts";
import { otherNames } from "./otherNames.ts";
import { macroTokens } from "./tokens.ts";
import { macroRoutines } from "./words.ts";

/** What our check before the run finds: the line (1-based) and words about it, as the students' tool finds it at the start. */
export type Found = { line: number; message: string };

const folded = (token: Token): string => token.text.toLowerCase().replace(/[%&!@$]$/, "");

/** The routines that a module defines, with their lines and how many values they must be given. */
export function routinesOf(text: string): Array<{ name: string; line: number; parameters: number }> {
  return [...tokensByLine(macroTokens(text))].flatMap(([line, all]) => {
    const own = isWord(all[0], "public", "private", "static") ? all.slice(1) : all;
    const [head, name] = own;
    return isWord(head, "sub", "function") && name
      ? [{ name: name.text, line, parameters: parametersOf(own).length }]
      : [];
  });
}

/** The routine that a module is started by: Main, else the first one that needs no values; null where there is none. */
export function entryOf(text: string): string | null {
  const free = routinesOf(text).filter(({ parameters }) => parameters === 0);
  return (free.find(({ name }) => name.toLowerCase() === "main") ?? free[0])?.name ?? null;
}

/** Names that a module declares anywhere: variables, constants, parameters, routines, types and their parts. */
function declaredIn(lines: ReadonlyMap<number, readonly Token[]>): Set<string> {
  const names = new Set<string>();
  let inType = false;
  for (const line of lines.values()) {
    if (isWord(line[0], "type")) inType = true;
    if (isWord(line[0], "end") && isWord(line[1], "type")) inType = false;
    const declares = line.some((token) =>
      isWord(
        token,
        "dim",
        "redim",
        "static",
        "const",
        "public",
        "private",
        "global",
        "sub",
        "function",
        "type",
        "declare",
      ),
    );
    for (const [index, token] of line.entries()) {
      const isLabel = index === 0 && line[1]?.text === ":";
      if (token.kind === "name" && (declares || inType || isLabel) && !isWord(line[index - 1], "as"))
        names.add(folded(token));
    }
  }
  return names;
}

/** Names whose element or call stands with brackets or values behind it, on a line without its declarations. */
function calledOn(line: readonly Token[]): Token[] {
  return line.filter((token, index) => {
    const [before, next] = [line[index - 1], line[index + 1]];
    if (token.kind !== "name" || before?.text === "." || isWord(before, "as", "goto", "gosub", "resume", "new"))
      return false;
    if (next?.text === "(") return true;
    const begins = before === undefined || before.text === ":" || isWord(before, "then", "else", "call");
    if (!begins) return false;
    if (next === undefined || next.text === ":" || isWord(next, "else"))
      return next?.text !== ":" || before !== undefined;
    return next.kind !== "operator" && next.kind !== "bracket" && next.line === token.line && !isWord(next, "as");
  });
}

/**
 * Looks for what the students' tool refuses at the start and the office finds only when it is reached: routines that nothing
 * defines, and under the strict option names that nothing declares. `texts`: all modules, the main one first.
 */
export function lookBefore(texts: readonly string[]): Found | null {
  const modules = texts.map((text) => tokensByLine(macroTokens(text)));
  const [main] = modules;
  if (!main) return null;
  const declared = new Set(modules.flatMap((lines) => [...declaredIn(lines)]));
  const given = new Set([...main.values()].flatMap((line) => givenOn(line)));
  const isStrict = [...main.values()].some((line) => isWord(line[0], "option") && isWord(line[1], "explicit"));
  for (const [number, line] of main) {
    if (isWord(line[0], "declare", "option")) continue;
    const called = calledOn(line);
    for (const token of called) {
      const name = folded(token);
      if (!declared.has(name) && !given.has(name) && !isKnown(name))
        return { line: number, message: `Routine “${token.text}” is not defined.` };
    }
    if (!isStrict) continue;
    for (const [index, token] of line.entries()) {
      if (token.kind !== "name" || line[index - 1]?.text === "." || isWord(line[index - 1], "as", "new")) continue;
      if (line[index + 1]?.text === ":=" || called.includes(token)) continue;
      const name = folded(token);
      if (!declared.has(name) && !isKnown(name) && !constants.has(name))
        return { line: number, message: `“${token.text}” is not declared.` };
    }
  }
  if (entryOf(texts[0] ?? "") === null)
    return { line: 1, message: "Nothing to start: there is no Sub that needs no values." };
  return null;
}

/** Names that a line gives a value without brackets: they may hold an array. */
function givenOn(line: readonly Token[]): string[] {
  return line.flatMap((token, index) => {
    const next = line[index + 1];
    const isCounter = isWord(line[index - 1], "for", "each");
    return token.kind === "name" && (next?.text === "=" || isCounter) && line[index - 1]?.text !== "."
      ? [folded(token)]
      : [];
  });
}

/** True for what belongs to a library. */
const isKnown = (name: string): boolean => macroRoutines.has(name) || otherNames.has(name) || name.startsWith("vb");

/** Names of constants of the office's Basic. */
const constants: ReadonlySet<string> = new Set([
  "pi",
  "com",
  "mb_ok",
  "mb_yesno",
  "mb_okcancel",
  "idyes",
  "idno",
  "idok",
  "idcancel",
]);
