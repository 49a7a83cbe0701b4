import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import fc from "fast-check";
import { expect, test } from "vitest";
import { lineTexts } from "../../source/lines.ts";
import { instrumentMacro } from "./instrument.ts";

const marked = (text: string) => lineTexts(instrumentMacro(text, 0, false));
const recorded = (text: string) => lineTexts(instrumentMacro(text, 0, true));
/** A statement inside of a routine, as it is recorded. */
const inside = (statement: string) => recorded(`Sub Main\n${statement}\nEnd Sub\n`)[1];

test("for a plain run every line says which it is, the pass of a loop that of its head", () => {
  expect(marked("Sub Main\n  n = 1\n  While n < 3\n    n = n + 1\n  Wend\nEnd Sub\n")).toEqual([
    "Sub Main : Dim BentNailBack As Long : BentNailBack = BentNailLine",
    "  BentNailLine = 2 : n = 1",
    "  BentNailLine = 3 : While n < 3",
    "    BentNailLine = 4 : n = n + 1",
    "  BentNailLine = 3 : Wend",
    "BentNailLine = BentNailBack : End Sub",
  ]);
  expect(marked("Sub Main\nIf a Then\nb = 1\nElseIf c > 2 Then\nEnd If\nEnd Sub\n")[3]).toBe(
    "ElseIf BentNailAt(4) And (c > 2) Then",
  );
});

test("a recording tells a line, then what it gave a value to; in an If on one line within its part", () => {
  expect(inside("total = total + 1")).toBe(
    'BentNail.Step(BentNailFrame, 2) : total = total + 1 : BentNail.Put(1, "total", total)',
  );
  expect(inside("loads(3) = 4")).toContain('BentNail.Put(1, "loads", loads())');
  expect(inside("cell.Value = 4")).toContain('BentNail.Put(1, "cell.Value", cell.Value)');
  expect(inside('sheet.getCellRangeByName("A1").Value = 4')).not.toContain("Put");
  expect(inside("If a Then b = 1 Else b = 2")).toBe(
    'If BentNail.Test(BentNailFrame, 2, a) Then b = 1 : BentNail.Put(1, "b", b) Else b = 2 : BentNail.Put(1, "b", b)',
  );
  expect(inside("For i = 1 To 3 : x = i : Next i")).toBe(
    'For i = 1 To 3 : BentNail.Step(BentNailFrame, 2) : BentNail.Put(1, "i", i) : x = i : BentNail.Put(1, "x", x) : Next i',
  );
});

test("a routine tells its name and its values, and is left before its end and where it is left early", () => {
  const made = recorded("Function Twice(n As Integer, s$)\n  If n = 0 Then Exit Function\n  Twice = n\nEnd Function\n");
  expect(made[0]).toContain('BentNail.Enter(0, 1, "Twice", "n", n, "s", s$)');
  expect(made[1]).toContain("Then BentNail.Leave(BentNailFrame) : Exit Function");
  expect(made[3]).toBe("BentNail.Leave(BentNailFrame) : End Function");
});

test("what a module declares is the whole program's; what is handed to a routine may be changed by it", () => {
  const made = recorded("Dim trips As Integer\nSub Main\n  trips = 1\n  Fill load\nEnd Sub\nSub Fill(x)\nEnd Sub\n");
  expect(made[2]).toContain('BentNail.Put(0, "trips", trips)');
  expect(made[3]).toContain('Fill load : BentNail.Put(1, "load", load)');
});

test("Print hands on each value with what stands behind it; one to a file stays as it is", () => {
  expect(marked('Sub Main\nPrint "a"; b, c\nEnd Sub\n')[1]).toMatch(
    /BentNailWrite\(0, "a"\) {2}: BentNailWrite\(1, b\) {2}: BentNailWrite\(2, c\)$/,
  );
  expect(marked("Sub Main\nPrint\nEnd Sub\n")[1]).toContain('BentNailWrite(2, "")');
  expect(marked("Sub Main\nPrint #1, b\nEnd Sub\n")[1]).toContain("Print #1, b");
});

test("a statement over two lines is marked where it begins; labels, declarations and comments are left alone", () => {
  const made = marked("Sub Main\n  total = 2 + _\n    3\nAgain:\n  Dim x\n  ' note\n  Rem note\nEnd Sub\n");
  expect(made.slice(1, 7)).toEqual([
    "  BentNailLine = 2 : total = 2 + _",
    "    3",
    "Again:",
    "  Dim x",
    "  ' note",
    "  Rem note",
  ]);
});

const folder = join(import.meta.dirname, "../../../runners/conformance/basic-macro");
const programs = readdirSync(folder)
  .filter((name) => name.endsWith(".bas"))
  .map((name) => readFileSync(join(folder, name), "utf8"));

test("whatever the text, there are as many lines as before, and each still holds its own signs in order", () => {
  const cut = fc.tuple(fc.constantFrom(...programs), fc.constantFrom(...programs), fc.nat(), fc.nat());
  fc.assert(
    fc.property(cut, ([one, other, from, to]) => {
      const text = one.slice(0, from % one.length) + other.slice(to % other.length);
      for (const recording of [false, true]) {
        const made = lineTexts(instrumentMacro(text, 0, recording));
        const before = lineTexts(text);
        expect(made.length).toBe(before.length);
        for (const [index, line] of before.entries()) {
          if (/\bprint\b/i.test(line)) continue;
          let at = 0;
          for (const sign of line) {
            at = made[index]?.indexOf(sign, at) ?? -1;
            expect(at, `${line}\n${made[index]}`).toBeGreaterThanOrEqual(0);
            at += 1;
          }
        }
      }
    }),
  );
});
