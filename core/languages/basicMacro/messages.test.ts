import { expect, test } from "vitest";
import { explain } from "../../reading/explain.ts";
import { basicMacro } from "./basicMacro.ts";

const read = (said: string) => basicMacro.readMessages(said);
const kind = (said: string) => {
  const [first] = read(said);
  return first && explain(basicMacro, first)?.kind;
};

test("a window of the office is read with its number, as it is run here and as it is typed off", () => {
  expect(read("BASIC runtime error (fares.bas, line 6).\n'11'\nDivision by zero.\n")[0]).toMatchObject({
    ...{ file: "fares.bas", line: 6, code: "11", message: "Division by zero.", stage: "run", primary: true },
  });
  const typed = read("BASIC runtime error.\nObject variable not set.\nOK\n");
  expect(typed).toHaveLength(1);
  expect(typed[0]).toMatchObject({ message: "Object variable not set.", stage: "run" });
  expect(typed[0]?.line).toBeUndefined();
  expect(read("BASIC syntax error.\nExpected: Then.\n")[0]).toMatchObject({
    stage: "translation",
    message: "Expected: Then.",
  });
});

test("where the office's own text noticed an exception is left out", () => {
  const said =
    "BASIC runtime error (a.bas, line 5).\n'1'\nAn exception occurred\nType: com.sun.star.container.NoSuchElementException\nMessage: at ./sc/source/ui/unoobj/docuno.cxx:3963.\n";
  expect(read(said)[0]?.message).toBe("An exception occurred Type: com.sun.star.container.NoSuchElementException");
  expect(kind(said)).toBe("key missing");
});

test.each([
  ["BASIC runtime error (a.bas, line 2).\n'423'\nProperty or method not found: Valu.\n", "unknown member"],
  ["BASIC runtime error.\n'13'\nData type mismatch.\n", "conversion"],
  ["BASIC runtime error.\n'9'\nIndex out of defined range.\n", "index out of range"],
  ["BASIC runtime error.\n'91'\nObject variable not set.\n", "empty reference"],
  ["BASIC runtime error.\n'6'\nOverflow.\n", "overflow"],
  ["BASIC runtime error.\n'449'\nArgument is not optional.\n", "wrong arguments"],
  ["BASIC runtime error.\n'12'\nVariable not defined.\nAdditional information: totl\n", "unknown name"],
  ["BASIC syntax error (a.bas, line 2).\n", "word misplaced"],
  ["Looked for before the run (a.bas, line 2): Routine “Fil” is not defined.\n", "unknown name"],
  [
    "Looked for before the run (a.bas, line 1): Nothing to start: there is no Sub that needs no values.\n",
    "entry point missing",
  ],
  ["Run-time error '438':\n\nObject doesn't support this property or method\n", "unknown member"],
])("%s is of the kind %s", (said, expected) => {
  expect(kind(said)).toBe(expected);
});

test("our own check is of meaning, the office's refusal of form; the name that is not known is told", () => {
  const [own] = read("Looked for before the run (a.bas, line 2): Routine “Fil” is not defined.\n");
  const [office] = read("BASIC syntax error (a.bas, line 2).\n");
  if (!own || !office) throw new Error("not read");
  expect([basicMacro.kindOfRefusal(own), basicMacro.kindOfRefusal(office)]).toEqual(["meaning", "form"]);
  expect([basicMacro.unknownName(own), basicMacro.unknownName(office)]).toEqual(["Fil", null]);
  const [reached] = read(
    "BASIC runtime error.\n'35'\nSub-procedure or function procedure not defined.\nAdditional information: Foo\n",
  );
  expect(reached && basicMacro.unknownName(reached)).toBe("Foo");
});
