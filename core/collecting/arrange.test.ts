import fc from "fast-check";
import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { arrange, fingerprintOf, withoutTry } from "./arrange.ts";
import { type Entry, isAside, problemOfPath, sortEntries } from "./entries.ts";
import { messageAtEnd } from "./messageAtEnd.ts";
import { chooseRule, sameLabel, sharedFolder } from "./studentRules.ts";

const bytes = (text: string) => new TextEncoder().encode(text);
const entry = (path: string, text: string): Entry => ({ path, bytes: bytes(text) });
const of = (id: string) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return language;
};
const course = { labels: ["S-01", "S-02"] };

test.each([
  [["class/S-01/deck.py", "class/S-02/deck.py"], ["S-01", "S-02"], "outer folder"],
  [["week 3/class/s1/deck.py", "week 4/class/s2/deck.py"], ["S-01", "S-02"], "inner folder"],
  [["S-01_deck.py", "s02_deck.py"], ["S-01", "S-02"], "name beginning"],
  [["deck_S-01.py", "deck_S-02.py"], ["S-01", "S-02"], "name ending"],
  [["S-01.py", "S-02.py"], ["S-01", "S-02"], "whole name"],
  [["S-01_12345_file/deck.py", "S-02_12346_file/deck.py"], ["S-01", "S-02"], "folder beginning"],
  [["Tern/deck.py", "Gull/deck.py"], [], "outer folder"],
  [["deck.py", "tides.py"], [], "nobody"],
])("of %j the rule is found by the course's labels %j: %s", (paths, labels, id) => {
  expect(chooseRule(paths, labels).id).toBe(id);
});

test("labels are the same whatever stands between their parts", () => {
  expect(new Set(["S-01", "s01", "S 1", "s_001"].map(sameLabel)).size).toBe(1);
  expect(sameLabel("S-10")).not.toBe(sameLabel("S-1"));
  expect(sharedFolder(["a/b/x.py", "a/c/y.py"])).toBe("a/");
  expect(sharedFolder(["x.py", "a/y.py"])).toBe("");
});

test("files of which one needs the other are one program; data that a program names lies beside it", () => {
  const { programs, beside } = arrange(
    [
      entry("S-01/tides.py", "def low():\n    return 2\n"),
      entry("S-01/main.py", 'import tides\nprint(tides.low(), open("boats.txt").read())\n'),
      entry("S-01/boats.txt", "Tern\n"),
      entry("S-02/one.py", "print(1)\n"),
      entry("S-02/two.py", "print(2)\n"),
    ],
    course,
    [],
  );
  expect(programs.map((program) => [program.student, program.files.map((file) => file.name)])).toEqual([
    ["S-01", ["main.py", "tides.py", "boats.txt"]],
    ["S-02", ["one.py"]],
    ["S-02", ["two.py"]],
  ]);
  expect(beside).toEqual([{ path: "S-01/boats.txt", users: ["S-01/main.py"] }]);
});

test("of two programs in a folder the message's own words decide", () => {
  const message =
    "Traceback (most recent call last):\n  File \"C:\\\\ferry\\\\tides.py\", line 2, in <module>\n    print(lowest)\nNameError: name 'lowest' is not defined\n";
  const { programs, unpaired } = arrange(
    [
      entry("S-01/deck.py", "print(1)\n"),
      entry("S-01/tides.py", "low = 2\nprint(lowest)\n"),
      entry("S-01/out.txt", message),
      entry("S-01/what.txt", "it does not work\n"),
    ],
    course,
    [],
  );
  expect(programs.find((program) => program.id === "S-01/tides.py")?.outputs[0]?.why).toMatch(
    /names tides.py, quotes its lines/,
  );
  expect(unpaired.map((output) => output.path)).toEqual(["S-01/what.txt"]);
});

test("what is there already is noticed: the same text, a later try, another student's", () => {
  const python = of("python");
  const known = [
    {
      key: "k1",
      label: "S-01",
      language: "python",
      fileName: "deck.py",
      title: "deck.py",
      fingerprint: fingerprintOf(python, "print(1)  # mine\n"),
    },
  ];
  const { programs } = arrange(
    [
      entry("S-01/deck.py", "print(1)\n"),
      entry("S-01/deck_v2.py", "print(2)\n"),
      entry("S-02/deck.py", "print( 1 )\n"),
    ],
    course,
    known,
  );
  expect(programs.map((program) => [program.id, program.alreadyHere, program.joins, program.sameAs])).toEqual([
    ["S-01/deck.py", true, null, ["S-02"]],
    ["S-01/deck_v2.py", false, { kind: "case", key: "k1", title: "deck.py" }, []],
    ["S-02/deck.py", false, null, ["S-01"]],
  ]);
});

test.each([
  ["deck_v2.py", "deck", 2],
  ["deck (3).py", "deck", 3],
  ["deck-final.py", "deck", 99],
  ["deck.py", "deck", 0],
  ["deck_error.txt", "deck", 0],
])("%s is a try at %s", (path, stem, number) => {
  expect(withoutTry(path)).toEqual({ stem, number });
});

test.each([
  [
    "python",
    "x = 1\nprint(y)\n",
    "# Traceback (most recent call last):\n#   File \"deck.py\", line 2, in <module>\n# NameError: name 'y' is not defined\n",
    true,
  ],
  [
    "python",
    "x = 1\nprint(y)\n",
    '"""\nTraceback (most recent call last):\n  File "deck.py", line 2, in <module>\nNameError: name \'y\' is not defined\n"""\n',
    true,
  ],
  [
    "java",
    "class A { int x = y; }\n",
    "/*\nA.java:1: error: cannot find symbol\nclass A { int x = y; }\n                  ^\n  symbol:   variable y\n  location: class A\n1 error\n*/\n",
    true,
  ],
  ["c", "int main(void) { return x; }\n", "deck.c:1:25: error: ‘x’ undeclared (first use in this function)\n", false],
])("a message at the end of a program in %s is found", (id, program, message, commented) => {
  const found = messageAtEnd(of(id), `${program}\n${message}`);
  expect(found).toMatchObject({ commented, program: expect.stringContaining(program) });
  expect(of(id).readMessages(found?.text ?? "")).toHaveLength(1);
  expect(messageAtEnd(of(id), program)).toBeNull();
});

test("a text that only speaks of errors is no message at the end", () => {
  expect(messageAtEnd(of("python"), 'print("x")\n# NameError came here yesterday\n')).toBeNull();
});

test.each(["../x.py", "/etc/passwd", "C:\\x.py", "a/../../x.py", "a\0.py", "..\\x.py"])(
  "the name %j is refused",
  (path) => {
    expect(problemOfPath(path)).not.toBeNull();
  },
);

test("what systems and editors leave is left aside; a name that leads out is not, so that it is told", () => {
  expect([".git/config", "a/.editor/x.json", "__MACOSX/a.py", "a/.DS_Store", "folder/"].every(isAside)).toBe(true);
  expect(["../x.py", "a/../x.py", "./x.py", ".x.py", "a/b.py"].some(isAside)).toBe(false);
});

test("whatever is dropped, every file is in one place, and nothing throws", () => {
  const path = fc
    .tuple(
      fc.constantFrom("", "S-01/", "S-02/", "class/S-01/", "x y/ü/"),
      fc.constantFrom("deck", "tides", "error", "S-01_deck", "ß", "a.b"),
      fc.constantFrom(".py", ".java", ".txt", ".log", ".c", ".csv", "", ".m"),
    )
    .map((parts) => parts.join(""));
  const text = fc.constantFrom(
    "print(1)\n",
    "import tides\n",
    "class Deck { }\n",
    "NameError: name 'x' is not defined\n",
    'Traceback (most recent call last):\n  File "deck.py", line 9, in <module>\nKeyError: 4\n',
    "1,2\n",
    "hello\n",
    "\ufeffx = 1",
    "# NameError: name 'x' is not defined",
    '"""',
  );
  fc.assert(
    fc.property(fc.uniqueArray(fc.tuple(path, text), { maxLength: 14, selector: ([name]) => name }), (files) => {
      const { entries, refused } = sortEntries(files.map(([name, content]) => entry(name, content)));
      const { programs, unpaired, beside } = arrange(entries, course, []);
      const besides = new Set(beside.map((each) => each.path));
      const places = [
        ...programs.flatMap((program) => [
          ...program.files.map((file) => file.path).filter((each) => !besides.has(each)),
          ...program.outputs.flatMap((output) => (output.path === null ? [] : [output.path])),
        ]),
        ...unpaired.map((output) => output.path),
        ...besides,
        ...refused.map((each) => each.path),
      ];
      expect(places.sort()).toEqual(files.map(([name]) => name.normalize("NFC")).sort());
    }),
    { numRuns: process.env.BENT_NAIL_LONG ? 20_000 : 1500 },
  );
});
