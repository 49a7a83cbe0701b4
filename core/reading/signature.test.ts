import { readdirSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import fc from "fast-check";
import { expect, test } from "vitest";
import * as z from "zod";
import { findLanguage } from "../languages/languages.ts";
import { readOutput } from "./reading.ts";
import { signatureOf } from "./signature.ts";

const rowSchema = z.object({ language: z.string(), program: z.record(z.string(), z.string()), output: z.string() });
const folder = join(dirname(fileURLToPath(import.meta.url)), "../languages/collection");
const rows = readdirSync(folder)
  .filter((name) => name.endsWith(".jsonl"))
  .flatMap((name) =>
    readFileSync(join(folder, name), "utf8")
      .trim()
      .split("\n")
      .map((line) => rowSchema.parse(JSON.parse(line))),
  );

/** The signature of the message to work on of an output; null where none is read. */
function signature(id: string, output: string, program?: Record<string, string>): string | null {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const primary = readOutput(language, output, program).primary?.diagnostic;
  return primary ? signatureOf(language, primary) : null;
}

/** Names that stand in quotes, or are read as undefined, in an output: those that a program may have given. */
function ownNames(id: string, program: Record<string, string>): string[] {
  const language = findLanguage(id);
  const tokens = Object.values(program).flatMap((text) => language?.tokens(text) ?? []);
  const next = (at: number) => tokens[at + 1]?.text ?? "";
  const assigned = tokens.filter(({ kind }, at) => kind === "name" && /^(?::?=|\+=)$/.test(next(at)));
  return [...new Set(assigned.map(({ text }) => text))].filter(
    // A variable called as the message calls such things would be replaced in the message itself.
    (name) => name.length > 3 && !/^(?:name|value|values|index|type|list|line|count|error|text)$/.test(name),
  );
}

test("a message is the same whatever a program calls its variables", () => {
  let [same, looked] = [0, 0];
  const differ: string[] = [];
  for (const { language, program, output } of rows) {
    const before = signature(language, output, program);
    if (before === null) continue;
    const renamed = (text: string) =>
      ownNames(language, program).reduce(
        (now, name, at) => now.replace(new RegExp(`\\b${name}\\b`, "g"), `crossing${"abcdefgh"[at % 8]}`),
        text,
      );
    const after = signature(
      language,
      renamed(output),
      Object.fromEntries(Object.entries(program).map(([name, text]) => [name, renamed(text)])),
    );
    looked += 1;
    if (after === before) same += 1;
    else differ.push(`${before}\n   ${after}`);
  }
  expect(looked).toBeGreaterThan(1000);
  expect(same / looked, differ.slice(0, 20).join("\n")).toBeGreaterThan(0.99);
});

test.each([
  ["python", "NameError: name 'laod' is not defined. Did you mean: 'load'?", "NameError: name 'tern' is not defined"],
  ["python", "KeyError: 'Tern'", "KeyError: 'gull 7'"],
  ["python", "IndexError: list index out of range", "IndexError: list index out of range"],
  [
    "python",
    "ValueError: invalid literal for int() with base 10: '2.5'",
    "ValueError: invalid literal for int() with base 10: 'three'",
  ],
  [
    "python",
    "TypeError: fare() missing 1 required positional argument: 'bags'",
    "TypeError: board() missing 2 required positional argument: 'deck'",
  ],
])("%s: %s is the same message as another of its kind", (id, one, other) => {
  const output = (last: string) =>
    `Traceback (most recent call last):\n  File "deck.py", line 3, in <module>\n${last}\n`;
  expect(signature(id, output(one))).not.toBeNull();
  expect(signature(id, output(one))).toBe(signature(id, output(other)));
});

test.each([
  ["SyntaxError: expected ':'", "SyntaxError: expected ')'"],
  [
    'TypeError: can only concatenate str (not "int") to str',
    'TypeError: can only concatenate str (not "float") to str',
  ],
  [
    "NameError: name 'load' is not defined",
    "UnboundLocalError: cannot access local variable 'load' where it is not associated with a value",
  ],
  ["IndexError: list index out of range", "IndexError: string index out of range"],
])("%s is another message than %s", (one, other) => {
  const output = (last: string) =>
    `Traceback (most recent call last):\n  File "deck.py", line 3, in <module>\n${last}\n`;
  expect(signature("python", output(one))).not.toBe(signature("python", output(other)));
});

test("numbers, paths and names never make two messages of one", () => {
  const name = fc
    .stringMatching(/^[a-z]{4,9}$/)
    .filter((word) => !["with", "from", "class", "import", "print"].includes(word));
  fc.assert(
    fc.property(name, name, fc.nat(9999), fc.nat(9999), (one, other, line, index) => {
      const java = (file: string, number: number) =>
        `Exception in thread "main" java.lang.ArrayIndexOutOfBoundsException: Index ${number} out of bounds for length ${line}\n\tat ${file}.main(${file}.java:${line + 1})\n`;
      expect(signature("java", java(`D${one}`, line))).toBe(signature("java", java(`F${other}`, index)));
      const c = (word: string) =>
        `${word}.c:${line + 1}:5: error: ‘${word}x’ undeclared (first use in this function)\n`;
      expect(signature("c", c(one))).toBe(signature("c", c(other)));
    }),
  );
});
