import fc from "fast-check";
import { expect, test } from "vitest";
import { editContext } from "../edits/context.ts";
import { applyEdit, type Edit } from "../edits/edit.ts";
import { proposeEdits } from "../edits/families.ts";
import { findLanguage } from "../languages/languages.ts";
import { applyBoth, rankCandidates } from "./candidates.ts";

const program = "loads = [4, 5, 9]\ntotal = 0\nfor load in loads:\n    total = load\nprint(total)\nlimit = 20\n";

function contextOf() {
  const language = findLanguage("python");
  const context = language && editContext(language, program);
  if (!context) throw new Error("python");
  return context;
}
const rank = (known: Partial<Parameters<typeof rankCandidates>[2]>) => {
  const context = contextOf();
  const ranked = rankCandidates(context, proposeEdits(context, "mend"), {
    ...{ leads: [], refused: false, reported: null },
    ...known,
  });
  return ranked.map(({ edit, worth }) => ({ edit, worth, line: context.lineOf(edit.from) }));
};
const lead = (line: number) => ({ line, why: "", weight: 100 });

test("What lies on a suspected line comes before the same slip elsewhere, in the order of the leads", () => {
  const best = (line: number) => rank({ leads: [lead(line)] })[0]?.line;
  expect([best(4), best(2), best(6)]).toEqual([4, 2, 6]);
  const both = rank({ leads: [lead(4), lead(2)] });
  const worth = (line: number) => Math.max(...both.flatMap((each) => (each.line === line ? [each.worth] : [])));
  expect(worth(4)).toBeGreaterThan(worth(6));
  expect(worth(2)).toBeGreaterThan(worth(6));
});

test("A line that no run went through made no output wrong; of lines that are as likely the spectrum decides", () => {
  const all = rank({ ran: new Set([1, 2, 3, 4, 5]) });
  const ofLine = (ranked: typeof all, line: number) => ranked.find((each) => each.line === line)?.worth ?? 0;
  expect(ofLine(all, 6)).toBeLessThan(ofLine(rank({}), 6));
  const told = (line: number) => ofLine(rank({ spectrum: new Map([[line, 1]]) }), line);
  expect(told(2)).toBeGreaterThan(ofLine(rank({ spectrum: new Map() }), 2));
});

test("For a refusal the reported line and those just above it come first", () => {
  const [first] = rank({ refused: true, reported: 3 });
  expect([2, 3, 4]).toContain(first?.line);
});

test("Two edits together are one after the other in either order, and none where they touch", () => {
  const place = fc.nat(program.length);
  const edit = fc.tuple(place, fc.nat(6), fc.string({ maxLength: 4 })).map(
    ([from, size, text]): Edit => ({
      ...{ family: "any", from, to: Math.min(program.length, from + size), text, parameters: {}, odds: 1 },
    }),
  );
  fc.assert(
    fc.property(edit, edit, (one, other) => {
      const both = applyBoth(program, one, other);
      if (one.from !== other.from) expect(applyBoth(program, other, one)).toBe(both);
      const [first, second] = one.from <= other.from ? [one, other] : [other, one];
      if (first.to >= second.from) expect(both).toBeNull();
      else expect(both).toBe(applyEdit(applyEdit(program, second), first));
    }),
  );
});
