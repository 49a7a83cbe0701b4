import { readdirSync, readFileSync } from "node:fs";
import fc from "fast-check";
import { expect, test } from "vitest";
import { findLanguage, languages } from "../languages/languages.ts";
import { lineTexts } from "../source/lines.ts";
import { cleanOutput } from "./clean.ts";
import { readOutput } from "./reading.ts";

const of = (id: string) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return language;
};

test("a name that is not declared groups every later complaint about it", () => {
  const program = {
    "Deck.java": "class Deck {\n  void load() {\n    totl = 4;\n    print(totl);\n    int other = missing;\n  }\n}\n",
  };
  const said = (line: number, name: string) =>
    `Deck.java:${line}: error: cannot find symbol\n    x\n    ^\n  symbol:   variable ${name}\n  location: class Deck\n`;
  const { messages, counts } = readOutput(
    of("java"),
    `${said(3, "totl")}${said(4, "totl")}${said(5, "missing")}3 errors\n`,
    program,
  );
  expect(counts).toEqual({ errors: 3, warnings: 0, notes: 0 });
  expect(messages.map((message) => message.standing.group)).toEqual(["primary", "follows", "own"]);
  expect(messages[1]?.standing.why).toContain("same name, “totl”");
});

test("a declaration that cannot be read leads to the complaints about what it declares", () => {
  const program = { "deck.c": "int main(void)\n{\n    int total 4;\n    return total;\n}\n" };
  const { messages } = readOutput(
    of("c"),
    "deck.c:3:15: error: expected ‘;’ before numeric constant\ndeck.c:4:12: error: ‘total’ undeclared (first use in this function)\n",
    program,
  );
  expect(messages[1]?.standing).toMatchObject({
    group: "follows",
    why: expect.stringContaining("“total” stands in line 3"),
  });
});

test("the arrow is resolved to the token there and the one before it, even on the line above", () => {
  const program = { "deck.py": "loads = (4 +\n\n# none\nprint 9)\n" };
  const [message] = readOutput(
    of("python"),
    '  File "deck.py", line 4\n    print 9)\n          ^\nSyntaxError: invalid syntax\n',
    program,
  ).messages;
  expect(message?.tokens?.at).toMatchObject({ text: "9", line: 4, column: 7 });
  expect(message?.tokens?.before).toMatchObject({ text: "print", line: 4, column: 1 });
  const [first] = readOutput(
    of("python"),
    '  File "deck.py", line 4\n    print 9)\n    ^\nSyntaxError: invalid syntax\n',
    program,
  ).messages;
  expect(first?.tokens?.before).toMatchObject({ text: "+", line: 1 });
});

test("of a chain the raising line and the calling line are labelled, the library's calls are folded", () => {
  const program = { "deck.py": "" };
  const { primary } = readOutput(
    of("python"),
    'Traceback (most recent call last):\n  File "deck.py", line 9, in <module>\n    go()\n  File "deck.py", line 4, in go\n    random.choice([])\n  File "/usr/lib/python3.11/random.py", line 378, in choice\n    return seq[0]\nIndexError: list index out of range\n',
    program,
  );
  expect(primary?.chain.map(({ line, role }) => [line, role])).toEqual([
    [9, "called from"],
    [4, "raised here"],
  ]);
  expect(primary?.folded).toBe(1);
});

test("normal output proves that the program had started; in C a lost buffer is warned of", () => {
  const python = readOutput(
    of("python"),
    "Cars 3\nLoad? Traceback (most recent call last):\n  File \"deck.py\", line 2, in <module>\n    x\nNameError: name 'x' is not defined\n",
  );
  expect(python.normalOutput?.text).toBe("Cars 3\nLoad?");
  expect(python.normalOutput?.proves).toContain("had started");
  expect(readOutput(of("c"), "Deck: 4\nSegmentation fault (core dumped)\n").normalOutput?.proves).toContain(
    "no proof of the last line",
  );
});

test("the two types of a type message come out as words, and neither is called wrong", () => {
  const { primary } = readOutput(
    of("python"),
    "Traceback (most recent call last):\n  File \"a.py\", line 1, in <module>\n    x\nTypeError: unsupported operand type(s) for +: 'int' and 'str'\n",
  );
  expect(primary?.meaning?.words.filter((word) => word.role === "type").map((word) => word.text)).toEqual([
    "int",
    "str",
  ]);
  expect(primary?.meaning?.unsaid).toContain("either may be");
});

test("warnings alone are no errors, and nothing said is not called right", () => {
  expect(readOutput(of("c"), "deck.c:3:9: warning: unused variable ‘x’ [-Wunused-variable]\n")).toMatchObject({
    state: "warnings only",
    primary: null,
  });
  expect(readOutput(of("c"), "").state).toBe("clean");
  expect(readOutput(of("c"), "the ferry is late\n").state).toBe("unknown");
});

test("text that no reader knows is not guessed at", () => {
  for (const language of languages)
    expect(readOutput(language, "it does not work\nwhat now?\nline 4 is funny\n")).toMatchObject({
      recognised: false,
      messages: [],
      normalOutput: null,
    });
});

test("typed commands around a message belong to nobody's output", () => {
  const { parts, normalOutput } = readOutput(
    of("c"),
    "tern@quay:~/ferry$ gcc deck.c\ndeck.c:3:9: error: expected expression\n    3 |    x\n      |    ^\ntern@quay:~/ferry$ ls\n",
  );
  expect(parts.map((part) => part.kind)).toEqual(["command", "message", "command"]);
  expect(normalOutput).toBeNull();
});

test("colours, titles and quote marks of a mail go, lines stay", () => {
  expect(cleanOutput("> \u001b[1;31merror\u001b[0m\n> \u001b]0;title\u0007x\u00a0y\n")).toEqual(["error", "x y"]);
});

/** Lines of every real output in the collection, to be cut and spliced. */
const folder = new URL("../languages/collection/", import.meta.url);
const realLines = [
  ...new Set(
    readdirSync(folder)
      .filter((name) => name.endsWith(".jsonl"))
      .flatMap((name) =>
        readFileSync(new URL(name, folder), "utf8")
          .split("\n")
          .slice(0, 12)
          .filter((line) => line !== "")
          .flatMap((line) => lineTexts(String(JSON.parse(line).output))),
      ),
  ),
];
const runs = process.env.BENT_NAIL_LONG ? 200_000 : 3_000;

test(`no output makes a reader throw or lose a line: ${runs} cut and spliced real outputs`, {
  timeout: 600_000,
}, () => {
  const piece = fc.oneof(
    { weight: 6, arbitrary: fc.constantFrom(...realLines) },
    {
      weight: 2,
      arbitrary: fc
        .tuple(fc.constantFrom(...realLines), fc.nat(80), fc.nat(80))
        .map(([line, from, length]) => line.slice(from, from + length)),
    },
    { weight: 1, arbitrary: fc.string({ maxLength: 30 }) },
  );
  const output = fc.array(piece, { maxLength: 25 }).map((lines) => lines.join("\n"));
  fc.assert(
    fc.property(fc.constantFrom(...languages), output, (language, text) => {
      const { parts, messages } = readOutput(language, text, {
        "deck.py": "x = 1\n",
        "Deck.java": "class Deck {\n\tint x;\n}\n",
        "deck.c": "int x;\n",
      });
      const count = lineTexts(text).length;
      const covered = new Set(
        parts.flatMap((part) => Array.from({ length: part.to - part.from + 1 }, (_, index) => part.from + index)),
      );
      expect(covered.size).toBe(count);
      for (const { diagnostic } of messages) {
        expect(diagnostic.line ?? 1).toBeGreaterThan(0);
        expect(diagnostic.column ?? 1).toBeGreaterThan(0);
        expect(diagnostic.outputLines?.to ?? count + 1).toBeLessThanOrEqual(count);
      }
      expect(messages.filter((message) => message.standing.group === "primary").length).toBeLessThanOrEqual(1);
    }),
    { numRuns: runs },
  );
});

test.each([
  ["one long line of colons", "a:1:2:".repeat(30_000)],
  ["one long line of slashes", "/a\\b".repeat(50_000)],
  ["one long name", `${"A.b".repeat(60_000)}Exception`],
  ["many escapes", "\u001b]".repeat(100_000)],
  ["many blank lines", "\n".repeat(200_000)],
  ["many headers", "Traceback (most recent call last):\n".repeat(6_000)],
  ["many places", '  File "deck.py", line 3, in load\n'.repeat(6_000)],
  ["many calls", "\tat Deck.load(Deck.java:3)\n".repeat(8_000)],
  ["many exceptions", 'Exception in thread "main" java.lang.Error\n'.repeat(5_000)],
  ["many errors without an end", "error: x\n\n".repeat(20_000)],
  ["many parse errors", "parse error:\n\n".repeat(14_000)],
  ["many problems", "1. ERROR in A.java (at line 4)\n".repeat(6_000)],
  ["many inner exceptions", "System.AException: a ---> ".repeat(8_000)],
  ["many words of a window", "Compile error:\n".repeat(13_000)],
  ["many sanitizers", "==1==ERROR: AddressSanitizer: x\n".repeat(6_000)],
  ["tabs", "\t".repeat(200_000)],
])("%s is read to the end", (_, text) => {
  for (const language of languages)
    expect(readOutput(language, text).parts.at(-1)?.to).toBe(cleanOutput(text).length || undefined);
});
