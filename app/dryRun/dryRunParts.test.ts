import fc from "fast-check";
import { expect, test } from "vitest";
import { consoleAt, spokenRows } from "./ConsoleNow.tsx";
import { wantedChange, wordsOfChange } from "./changedRun.ts";
import { toggled } from "./useBreakpoints.ts";

const rows = [
  { output: "How many? ", input: "3\n" },
  { output: "" },
  { output: "Tern\nAuk\n" },
  { output: "", input: "yes\n" },
  { output: "end" },
];

test("the console holds what was printed and typed in up to where the dry run stands, prompts before what answers them", () => {
  const spoken = spokenRows(rows);
  expect(spoken).toEqual([0, 2, 3, 4]);
  const text = (done: number) =>
    consoleAt(rows, spoken, done)
      .pieces.map((piece) => (piece.typed ? `<${piece.text}>` : piece.text))
      .join("");
  expect(text(0)).toBe("");
  expect(text(1)).toBe("How many? <3\n>");
  expect(text(2)).toBe(text(1));
  expect(text(5)).toBe("How many? <3\n>Tern\nAuk\n<yes\n>end");
});

test("of a long console the last lines are shown, and that there are others before them", () => {
  const long = Array.from({ length: 300 }, (_, at) => ({ output: `trip ${at}\n` }));
  const { pieces, more } = consoleAt(long, spokenRows(long), 300);
  expect(more).toBe(true);
  expect(pieces.length).toBeLessThan(20);
  expect(pieces.at(-1)?.text).toBe("trip 299\n");
  expect(consoleAt(long, spokenRows(long), 3)).toMatchObject({ more: false, pieces: [{}, {}, {}] });
});

test("whatever is printed, the console's end is the end of all that was", () => {
  const some = fc.array(fc.record({ output: fc.constantFrom("", "a", "b\n", "c\nd\n") }), { maxLength: 60 });
  fc.assert(
    fc.property(some, fc.nat(60), (given, done) => {
      const all = given
        .slice(0, done)
        .map((row) => row.output)
        .join("");
      const shown = consoleAt(given, spokenRows(given), done);
      const text = shown.pieces.map((piece) => piece.text).join("");
      expect(all.endsWith(text)).toBe(true);
      if (!shown.more) expect(text).toBe(all);
    }),
  );
});

test("what an address asks to be changed; half of it is nothing", () => {
  const asked = (query: string) => wantedChange(new URLSearchParams(query));
  expect(asked("step=4&name= load &value=7")).toEqual({ step: 4, put: { name: "load", value: "7" } });
  expect(asked("step=4&file=a.txt&text=1%0D%0A2")).toEqual({ step: 4, files: { "a.txt": "1\n2" } });
  expect(asked("step=4&file=a.txt&text=1&gone=yes")).toEqual({ step: 4, files: { "a.txt": null } });
  for (const query of ["name=load&value=7", "step=x&name=load&value=7", "step=4", "step=1.5&name=a", "step=4&value=7"])
    expect(asked(query), query).toBe(null);
  expect(asked(`step=4&name=a&value=${"9".repeat(5000)}`)?.put?.value).toHaveLength(2000);
  expect(wordsOfChange({ step: 1, put: { name: "load", value: " 7 " }, files: { "a.txt": null, "b.txt": "x" } })).toBe(
    "load = 7, a.txt taken away, b.txt altered",
  );
});

test("a breakpoint that is taken away takes its condition along", () => {
  const one = { lines: new Set([3, 5]), conditions: new Map([[5, "load > 3"]]) };
  expect(toggled(one, 5)).toEqual({ lines: new Set([3]), conditions: new Map() });
  expect(toggled(one, 7)).toEqual({ lines: new Set([3, 5, 7]), conditions: one.conditions });
  expect(toggled(toggled(one, 3), 3).lines).toEqual(new Set([5, 3]));
});
