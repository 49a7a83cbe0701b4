import fc from "fast-check";
import { expect, test } from "vitest";
import { lineTexts } from "../../source/lines.ts";
import { instrumentOctave } from "./instrument.ts";

const lines = (text: string) => lineTexts(instrumentOctave(text, 0, true));

test("calls stand within their lines, so line numbers stay as they are", () => {
  const text = "total = 0;\nfor i = 1:3\n  total += i;\nend\ndisp(total)\n";
  const made = lines(text);
  expect(made[0]).toBe('__bent_nail__(0,0,1,{"total"}); total = 0;');
  expect(made[1]).toBe('for i = 1:3; __bent_nail__(2,0,2,{"i"});');
  expect(made[2]).toBe('  __bent_nail__(0,0,3,{"total"}); total += i;');
  expect(made[3]).toBe("end");
});

test("conditions are taken whole: with brackets, without, before a statement on the same line", () => {
  expect(lines("while total > 10, total -= 3; end\n")[0]).toBe(
    'while __bent_nail__(1,0,1,{"total"},total > 10), total -= 3; end',
  );
  expect(lines("if (n > 2) && (n < 9)\n  x = 1;\nend\n")[0]).toBe("if __bent_nail__(1,0,1,{},(n > 2) && (n < 9))");
  expect(lines("if (n > 2) x = 1; end\n")[0]).toBe('if __bent_nail__(1,0,1,{"x"},(n > 2)) x = 1; end');
});

test("statements over several lines and matrices over several lines are left whole", () => {
  const made = lines("grid = [1 2\n        3 4];\ntotal = 1 + ...\n  2;\n");
  expect(made.slice(0, 4)).toEqual([
    '__bent_nail__(0,0,1,{"grid"}); grid = [1 2',
    "        3 4];",
    '__bent_nail__(0,0,3,{"total"}); total = 1 + ...',
    "  2;",
  ]);
});

test("functions say when they are entered and left, with and without an end of their own", () => {
  const made = lines("function r = half(n)\n  r = n / 2;\nend\n");
  expect(made[0]).toBe('function r = half(n); __bent_nail__(3,0,1,{"n"},"half");');
  expect(made[2]).toBe("__bent_nail__(4); end");
});

test("quotes, comments and transposes are not mistaken for statements", () => {
  const made = lines("% if x\nname = 'end % no';\nt = fares';\n");
  expect(made[0]).toBe("% if x");
  expect(made[1]).toContain("name = 'end % no';");
  expect(made[2]).toContain("t = fares';");
});

test("no text gets more lines than it had, and what stood in a line still stands there in order", () => {
  const piece = fc.constantFrom(
    "if x",
    "end",
    "for i = 1:3",
    "while (x < 3)",
    "x = [1 2",
    "3];",
    "x++;",
    "function f(a)",
    "disp('a')",
    "...",
    "% note",
    "do",
    "until x",
    "\n",
    "\n",
    " ",
    ", ",
    "; ",
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 30 }), (pieces) => {
      const text = pieces.join(" ");
      const before = lineTexts(text);
      const after = lineTexts(instrumentOctave(text, 0, false));
      expect(after.length).toBeLessThanOrEqual(before.length + 1);
      for (const [index, line] of before.entries()) {
        // Taking the calls out again leaves the line.
        let at = 0;
        for (const character of line) {
          at = (after[index] ?? "").indexOf(character, at);
          expect(at).toBeGreaterThanOrEqual(0);
          at += 1;
        }
      }
    }),
  );
});

test.each([
  ["while k > 0 k--; end", 'while __bent_nail__(1,0,1,{"k"},k > 0) k--; end'],
  ["if n == 0 n = 5; end", 'if __bent_nail__(1,0,1,{"n"},n == 0) n = 5; end'],
  ["if 3 > 2 disp(1), end", "if __bent_nail__(1,0,1,{},3 > 2) disp(1), end"],
  ["if isempty (x) y = 1; end", 'if __bent_nail__(1,0,1,{"y"},isempty (x)) y = 1; end'],
  ["if a(1) == b{2} c = 1; end", 'if __bent_nail__(1,0,1,{"c"},a(1) == b{2}) c = 1; end'],
  ["if x' [p, q] = size(x); end", "if __bent_nail__(1,0,1,"],
  ["while ~done done = true; end", 'while __bent_nail__(1,0,1,{"done"},~done) done = true; end'],
])("a condition ends where a value follows a value: %s", (text, begin) => {
  expect(lines(`${text}\n`)[0]?.startsWith(begin)).toBe(true);
});

test("the row of a return comes before the call is over; words that only begin a block have none", () => {
  const made = lines("function f()\n  return;\nend\n");
  expect(made[1]).toBe("  __bent_nail__(0,0,2,{}); __bent_nail__(4); return;");
  expect(lines("try\n  x = 1;\ncatch\n  x = 2;\nend\n")[0]).toBe("try");
  expect(lines("do\n  x++;\nuntil x > 3\n")[0]).toBe("do");
  expect(lines("do x++; until x > 3\n")[0]).toBe(
    'do __bent_nail__(0,0,1,{"x"}); x++; until __bent_nail__(1,0,1,{"x"},x > 3)',
  );
});
