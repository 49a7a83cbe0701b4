import { readsOfLine } from "../languages/inputReads.ts";
import type { Language } from "../languages/language.ts";
import { comparisonsIn, type WrittenComparison } from "./comparisonsIn.ts";
import type { InputShape, InputValue } from "./inputShape.ts";

const loop = /^\s*(?:\}\s*)?(?:for|foreach|while|repeat|do)\b/i;

function indentOf(line: string): number {
  return /^\s*/.exec(line)?.[0].replaceAll("\t", "    ").length ?? 0;
}

/** The header of the innermost loop around a line, by its indentation; null where it is in none. */
function loopAround(lines: readonly string[], at: number): { header: string; line: number } | null {
  let indent = indentOf(lines[at] ?? "");
  if (loop.test(lines[at] ?? "")) return { header: lines[at] ?? "", line: at };
  for (let line = at - 1; line >= 0; line--) {
    const text = lines[line] ?? "";
    if (/^\s*(?:[{}]|begin)?\s*$/i.test(text)) continue;
    if (indentOf(text) >= indent) continue;
    if (loop.test(text)) return { header: text, line };
    indent = indentOf(text);
    if (indent === 0) return null;
  }
  return null;
}

/**
 * How often a read in a loop is made: as often as a number says, as often as an earlier value says, until a word is
 * typed, or, where the loop only asks again for what was not valid, once.
 */
function repeatOf(
  name: string,
  lines: readonly string[],
  at: number,
  earlier: readonly string[],
  comparisons: readonly WrittenComparison[],
): string {
  const around = loopAround(lines, at);
  if (!around) return "1";
  const names: string[] = around.header.match(/[A-Za-z_]\w*/g) ?? [];
  const count = earlier.find((each) => each !== name && names.includes(each));
  const end = comparisons.find(
    (each) =>
      each.name === name &&
      ((each.operator === "!=" && each.line === around.line + 1) ||
        (each.operator === "=" &&
          each.line > around.line &&
          /\bbreak\b|\bexit\b|\bdone\b/i.test(lines.slice(each.line - 1, each.line + 2).join(" ")))),
  );
  if (end) return `until ${end.text ?? end.number}`;
  if (count) return count;
  if (!/^\s*for/i.test(around.header)) return "1";
  const numbers = (around.header.match(/\b\d+\b/g) ?? []).map(Number);
  const most = Math.max(...numbers, 0);
  const fromZero = /\b0\b/.test(around.header) && /<=|\bto\b|:/.test(around.header.replace(/:\s*$/, ""));
  return most > 0 && most <= 20 ? String(fromZero ? most + 1 : most) : "1";
}

/** The limits of a number by what the program compares it with: the least and the greatest written one. */
function limitsOf(name: string, comparisons: readonly WrittenComparison[]): Pick<InputValue, "from" | "to"> {
  const own = comparisons.filter(
    (each) => each.name === name && each.number !== null && !"=!=".includes(each.operator),
  );
  const sorted = own.sort((one, other) => (one.number ?? 0) - (other.number ?? 0));
  const [least, greatest] = [sorted[0], sorted.at(-1)];
  if (!least || !greatest || least.number === null || greatest.number === null) return { from: null, to: null };
  const from = least.number + (least.operator === "<=" || least.operator === ">" ? 1 : 0);
  const to = greatest.number - (greatest.operator === "<" || greatest.operator === ">=" ? 1 : 0);
  // One limit alone is the least value only where it is about zero; else it divides valid values.
  if (least.number === greatest.number) return { from: least.number <= 1 ? from : null, to: null };
  return from <= to ? { from: from <= 1 || own.length > 1 ? from : null, to } : { from: null, to: null };
}

/**
 * What is typed in to a model program, value by value, guessed from the places where it reads and the conditions that
 * it tests. A guess, to be corrected by a person.
 */
export function guessShape(language: Language, program: string): InputShape {
  const forms = language.inputForms;
  if (!forms) return [];
  const comparisons = comparisonsIn(language, program);
  const lines = program.split(/\r\n|\n|\r/);
  const shape: InputValue[] = [];
  for (const [at, line] of lines.entries()) {
    if (line.trim().startsWith(language.lineComment)) continue;
    for (const { name, kind } of readsOfLine(forms, line, program)) {
      const repeat = repeatOf(
        name,
        lines,
        at,
        shape.map((each) => each.name),
        comparisons,
      );
      const known = shape.find((each) => each.name === name);
      if (known) {
        if (repeat !== "1") known.repeat = repeat;
        continue;
      }
      const choices = [
        ...new Set(comparisons.flatMap((each) => (each.name === name && each.text ? [each.text] : []))),
      ].filter((each) => repeat !== `until ${each}`);
      const limits = kind === "text" ? { from: null, to: null } : limitsOf(name, withoutEnd(comparisons, name, repeat));
      shape.push({
        ...{ name, kind: kind === "text" && choices.length > 1 ? "choice" : kind, ...limits, repeat },
        choices: kind === "text" && choices.length > 1 ? choices : [],
      });
    }
  }
  return shape.slice(0, 40);
}

function withoutEnd(comparisons: readonly WrittenComparison[], name: string, repeat: string): WrittenComparison[] {
  return comparisons.filter((each) => each.name !== name || repeat !== `until ${each.number}`);
}
