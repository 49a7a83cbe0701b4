import fc from "fast-check";
import { expect, test } from "vitest";
import type { Language } from "../languages/language.ts";
import { findLanguage } from "../languages/languages.ts";
import { applyProbes, type Probe, probeWords, readProbed } from "./probes.ts";

function language(id: string): Language {
  const found = findLanguage(id);
  if (!found) throw new Error(id);
  return found;
}
const put = (id: string, text: string, ...probes: Probe[]) => {
  const probed = applyProbes(language(id), text, probes);
  return probed.ok ? probed.text : probed.message;
};

test("a line is switched off with the block that it opens, and leaves something where the grammar needs it", () => {
  const text =
    "total = 0\nfor load in [4, 5]:\n    total += load\n    if load > 4:\n        total += 1\nprint(total)\n";
  expect(put("python", text, { kind: "off", line: 4 })).toBe(
    "total = 0\nfor load in [4, 5]:\n    total += load\n    pass  # if load > 4:\n    # total += 1\nprint(total)\n",
  );
  expect(
    put("c", "int main(void)\n{\n    if (1)\n        go();\n    return 0;\n}\n", { kind: "off", line: 4 }),
  ).toContain("    if (1)\n        ;  // go();\n    return 0;");
  expect(put("pascal", "begin\n  writeln(1);\n  writeln(2);\nend.\n", { kind: "off", line: 2 })).toContain(
    "begin\n  ;  // writeln(1);\n  writeln(2);",
  );
});

test("a value is printed behind a statement, before one that leaves, at the head of a block; lines keep their numbers", () => {
  const text =
    "def load(n):\n    cars = n * 2\n    return cars\nwhile load(3) > 9: # deck\n    break\nprint(1)  # end\n";
  const printed = put(
    "python",
    text,
    { kind: "print", line: 2, expression: "cars" },
    { kind: "print", line: 3, expression: "n" },
    { kind: "print", line: 4, expression: "n" },
    { kind: "set", line: 6, name: "tide", value: "3" },
  );
  expect(printed.split("\n")).toEqual([
    "def load(n):",
    '    cars = n * 2; print("<<1>>", repr(cars))',
    '    print("<<2>>", repr(n)); return cars',
    "while load(3) > 9: # deck",
    '    print("<<3>>", repr(n)); break',
    "print(1); tide = 3  # end",
    "",
  ]);
  expect(
    put("java", "class A {\n  void f(int a) {\n    if (a > 1)\n      a--;\n  }\n}\n", {
      kind: "set",
      line: 4,
      name: "a",
      value: "7",
    }),
  ).toContain("      { a--; a = 7; }\n");
  expect(
    put("pascal", "begin\n  if a > 1 then\n    a := 2\n  else\n    a := 3;\nend.\n", {
      kind: "set",
      line: 3,
      name: "b",
      value: "7",
    }),
  ).toContain("    begin a := 2; b := 7 end\n  else");
  expect(
    put(
      "octave",
      "x = 3\ny = 4;\n",
      { kind: "set", line: 1, name: "z", value: "1" },
      { kind: "set", line: 2, name: "z", value: "2" },
    ),
  ).toBe("x = 3, z = 1;\ny = 4; z = 2;\n");
});

test("where no statement begins, or a line holds more than one, that is said", () => {
  expect(put("python", "x = [1,\n  2]\n", { kind: "off", line: 2 })).toBe(
    "No statement begins in line 2. Choose the line where one begins.",
  );
  expect(put("python", "x = 1\n", { kind: "print", line: 9, expression: "x" })).toBe("There is no line 9.");
  expect(put("python", "x = 1; y = 2\n", { kind: "off", line: 1 })).toContain("more than the statement");
});

test("printed values are taken out of what came out, the rest stays as it was", () => {
  expect(readProbed("Cars? <<1>> 4\nSail\n<<12>> [1, 2]\n")).toEqual([
    { probe: null, text: "Cars? " },
    { probe: 1, text: "4" },
    { probe: null, text: "Sail\n" },
    { probe: 12, text: "[1, 2]" },
  ]);
  fc.assert(
    fc.property(fc.array(fc.string({ maxLength: 12 })), (parts) => {
      const text = parts.join("").replaceAll("<<", "<");
      expect(
        readProbed(text)
          .map((piece) => piece.text)
          .join(""),
      ).toBe(text);
    }),
  );
  expect(probeWords({ kind: "set", line: 4, name: "tide", value: "3" })).toBe("tide set to 3 at line 4");
});

test("a line that is off with the statement around it is off once, and nothing is put into what is off", () => {
  const text = "total = 0\nfor load in [4, 5]:\n    total += load\nprint(total)\n";
  expect(put("python", text, { kind: "off", line: 3 }, { kind: "off", line: 2 })).toBe(
    "total = 0\npass  # for load in [4, 5]:\n# total += load\nprint(total)\n",
  );
  expect(put("python", text, { kind: "off", line: 3 }, { kind: "print", line: 2, expression: "load" })).toBe(
    "What is to stand at line 2 would be in line 3, which is switched off.",
  );
});

const loops: Readonly<Record<string, string>> = {
  c: "int main(void)\n{\n    int n = 3;\n    for (int i = 0; i < n; i++)\n        if (i > 1)\n            n--;\n        else\n            n++;\n    do {\n        n = n - 2;\n    } while (n > 1);\n    return n;\n}\n",
  python:
    "def load(n):\n    while n > 1:\n        if n > 2:\n            n -= 1\n        else:\n            n -= 2\n    return n\nn = load(4)\nprint(n)\n",
  pascal:
    "var n: integer;\nbegin\n  n := 4;\n  while n > 1 do\n    if n > 2 then\n      n := n - 1\n    else\n      n := n - 2;\n  writeln(n);\nend.\n",
  octave: "n = 4;\nwhile n > 1\n  if n > 2\n    n = n - 1;\n  else\n    n = n - 2;\n  end\nend\ndisp(n)\n",
};

test("no probe moves a line or writes one twice, whatever the lines that are chosen", () => {
  const line = fc.integer({ min: 1, max: 14 });
  const probe = fc.oneof(
    fc.record({ kind: fc.constant("off" as const), line }),
    fc.record({ kind: fc.constant("print" as const), line, expression: fc.constant("n") }),
    fc.record({ kind: fc.constant("set" as const), line, name: fc.constant("n"), value: fc.constant("7") }),
  );
  fc.assert(
    fc.property(
      fc.constantFrom(...Object.keys(loops)),
      fc.array(probe, { minLength: 1, maxLength: 6 }),
      (id, probes) => {
        const text = loops[id] ?? "";
        const probed = applyProbes(language(id), text, probes);
        if (!probed.ok) {
          expect(probed.message).toMatch(/^(?:No statement|There is no|Line \d+|What is to stand)/);
          return;
        }
        const [before, after] = [text.split("\n"), probed.text.split("\n")];
        expect(after.length).toBe(before.length);
        for (const [at, own] of before.entries()) {
          for (const word of own.match(/\w+/g) ?? []) expect(after[at]).toContain(word);
          // What is off is a comment from its first word on.
          const isOff = (after[at] ?? "").includes(`${language(id).writing?.narrowing.comment} ${own.trim()}`);
          if (isOff)
            expect(after[at]?.trim().replace(/^(?:pass|;)\s*/, "")).toBe(
              `${language(id).writing?.narrowing.comment} ${own.trim()}`,
            );
        }
      },
    ),
    { numRuns: 300 },
  );
});
