import fc from "fast-check";
import { expect, test } from "vitest";
import { explain } from "../../reading/explain.ts";
import { python } from "./python.ts";

const readPythonMessages = python.readMessages;

const refused = "  File \"deck.py\", line 1\n    loads = [3, 4\n            ^\nSyntaxError: '[' was never closed\n";
const stopped =
  'Cars: 10\nTraceback (most recent call last):\n  File "/home/s07/deck.py", line 9, in <module>\n    show(cars)\n  File "/home/s07/deck.py", line 4, in show\n    print(10 / count)\nZeroDivisionError: division by zero\n';

test("a refusal: line, column, kind, and that nothing ran", () => {
  const [found] = readPythonMessages(refused, { "deck.py": "loads = [3, 4\nprint(loads)\n" });
  expect(found).toMatchObject({
    errorName: "SyntaxError",
    message: "'[' was never closed",
    line: 1,
    column: 9,
    stage: "translation",
    primary: true,
    excerpt: "loads = [3, 4",
  });
});

test("one unclosed bracket: the wording and the named line tell the versions apart", () => {
  const program = { "deck.py": "loads = [3, 4\n\nprint(loads)\n" };
  const older = '  File "deck.py", line 3\n    print(loads)\n        ^\nSyntaxError: invalid syntax\n';
  expect(readPythonMessages(refused, program)[0]?.toolVersion).toBe("3.10 or newer");
  expect(readPythonMessages(older, program)[0]).toMatchObject({ line: 3, toolVersion: "3.9 or older" });
  // Where all brackets are closed, or the program is not known, every version may say it like this.
  for (const known of [{ "deck.py": "loads = [3,\n4]\nprint(loads))\n" }, undefined])
    expect(readPythonMessages(older, known)[0]?.toolVersion).toBeUndefined();
  // A bracket in a text or in a comment opens nothing; one that is opened on the named line itself tells nothing.
  for (const text of ['a = "["\n# (\nprint(loads)\n', "a = 1\n\nprint(loads\n"])
    expect(readPythonMessages(older, { "deck.py": text })[0]?.toolVersion).toBeUndefined();
});

test("the arrow is placed in the line as it stands in the program, not as it was echoed", () => {
  const [found] = readPythonMessages(
    '  File "deck.py", line 2\n    load = = 4\n           ^\nSyntaxError: invalid syntax\n',
    {
      "deck.py": "if True:\n\t\tload = = 4\n",
    },
  );
  expect(found).toMatchObject({ line: 2, column: 10 });
});

test("of a chain the innermost frame in the student's own files counts, and callers are kept", () => {
  const [found] = readPythonMessages(stopped, { "deck.py": "" });
  expect(found).toMatchObject({ errorName: "ZeroDivisionError", line: 4, stage: "run", primary: true });
  expect(found?.frames?.map((frame) => [frame.name, frame.line])).toEqual([
    ["<module>", 9],
    ["show", 4],
  ]);
});

test("library frames fold away", () => {
  const text =
    'Traceback (most recent call last):\n  File "deck.py", line 3, in <module>\n    json.loads("{")\n  File "/usr/lib/python3.11/json/__init__.py", line 346, in loads\n    return _default_decoder.decode(s)\njson.decoder.JSONDecodeError: Expecting property name: line 1 column 2 (char 1)\n';
  expect(readPythonMessages(text, { "deck.py": "" })[0]).toMatchObject({
    errorName: "JSONDecodeError",
    line: 3,
    file: "deck.py",
  });
});

test("of chained tracebacks the last block is the primary one", () => {
  const text =
    'Traceback (most recent call last):\n  File "a.py", line 2, in <module>\n    n = int("x")\nValueError: invalid literal for int() with base 10: \'x\'\n\nDuring handling of the above exception, another exception occurred:\n\nTraceback (most recent call last):\n  File "a.py", line 4, in <module>\n    print(n)\nNameError: name \'n\' is not defined\n';
  const found = readPythonMessages(text);
  expect(found.map((each) => [each.errorName, each.primary])).toEqual([
    ["ValueError", false],
    ["NameError", true],
  ]);
});

test("a grammar fault in an imported file names that file; text given to eval is a matter of the run", () => {
  const imported =
    'Traceback (most recent call last):\n  File "main.py", line 1, in <module>\n    import tides\n  File "/case/tides.py", line 3\n    if high\n           ^\nSyntaxError: expected \':\'\n';
  expect(readPythonMessages(imported, { "main.py": "", "tides.py": "" })[0]).toMatchObject({
    stage: "translation",
    file: "tides.py",
    line: 3,
  });
  const evaluated =
    'Traceback (most recent call last):\n  File "main.py", line 2, in <module>\n    eval("2 +")\n  File "<string>", line 1\n    2 +\n       ^\nSyntaxError: invalid syntax\n';
  expect(readPythonMessages(evaluated, { "main.py": "" })[0]).toMatchObject({ stage: "run" });
});

test("a custom exception and one without words", () => {
  expect(
    readPythonMessages(
      'Traceback (most recent call last):\n  File "a.py", line 9, in <module>\n    raise DeckFull\n__main__.DeckFull\n',
    )[0],
  ).toMatchObject({ errorName: "DeckFull", message: "", line: 9 });
});

test("what is no message is not guessed at", () => {
  expect(readPythonMessages("it does not work\nError: no idea\n")).toEqual([]);
  expect(readPythonMessages("")).toEqual([]);
});

test("the reader takes any text", () => {
  fc.assert(
    fc.property(
      fc.string({
        unit: fc.constantFrom(
          "Traceback (most recent call last):",
          '  File "a.py", line 3, in <module>',
          "\n",
          "    ^",
          "SyntaxError: x",
          "x",
          " ",
        ),
      }),
      (text) => Array.isArray(readPythonMessages(text, { "a.py": "x" })),
    ),
  );
});

test("the meaning of a type message blames no operand", () => {
  const [found] = readPythonMessages(
    "Traceback (most recent call last):\n  File \"a.py\", line 3, in <module>\n    a + b\nTypeError: unsupported operand type(s) for +: 'int' and 'str'\n",
  );
  expect(found && explain(python, found)?.unsaid).toContain("does not know which of the two is the wrong one");
});
