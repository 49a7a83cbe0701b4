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

/** The worth of the likeliest change of a line of a C# method, where these lines ran. */
function worthOf(line: number, ran: readonly number[], body: string): number {
  const language = findLanguage("csharp");
  const text = `class P {\n  int F(int age, bool back) {\n    int fare = 8;\n${body}    return fare;\n  }\n}\n`;
  const context = language && editContext(language, text);
  if (!context) throw new Error("csharp");
  const known = { leads: [], refused: false, reported: null, ran: new Set(ran) };
  const ranked = rankCandidates(context, proposeEdits(context, "mend"), known);
  return Math.max(...ranked.flatMap(({ edit, worth }) => (context.lineOf(edit.from) === line ? [worth] : [])));
}
const branches =
  "    if (age < 5) {\n      fare = 0;\n    } else if (back) {\n      fare = fare * 2;\n    } else {\n      fare = 9;\n    }\n";

test("The header of a further branch counts as reached where the decision was: an earlier branch was taken in its place", () => {
  const taken = worthOf(6, [3, 4, 5, 11], branches);
  expect(taken).toBe(worthOf(6, [3, 4, 5, 6, 11], branches));
  // What the branch does never ran, and where the decision was not reached its branches were not.
  expect(worthOf(7, [3, 4, 5, 11], branches)).toBeLessThan(worthOf(7, [3, 4, 6, 7, 11], branches));
  expect(worthOf(6, [3, 11], branches)).toBeLessThan(taken);
});

test("What fits a wrong result comes before the same change elsewhere", () => {
  const seen = {
    ...{ actual: "20", intended: "21", got: 20, wanted: 21 },
    ...{ typed: [], lines: ["20"], at: 0 },
  };
  const worth = (known: Parameters<typeof rank>[0]) =>
    rank(known).find(({ edit }) => edit.parameters.before === "20" && edit.parameters.after === "21")?.worth ?? 0;
  expect(worth({ seen })).toBeGreaterThan(worth({}));
  expect(worth({ seen: null })).toBe(worth({}));
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

/** Ranks the changes of any program, and says at which place the one that gives `right` stands (0-based; -1: it is not proposed). */
function placeOf(id: string, faulty: string, right: string, known: Partial<Parameters<typeof rankCandidates>[2]> = {}) {
  const language = findLanguage(id);
  const context = language && editContext(language, faulty);
  if (!context) throw new Error(id);
  const ranked = rankCandidates(context, proposeEdits(context, known.refused ? "mend a refusal" : "mend"), {
    ...{ leads: [], refused: false, reported: null },
    ...known,
  });
  return ranked.findIndex(({ edit }) => applyEdit(faulty, edit) === right);
}

test("A lead that points weighs more than one of many lines that a value came through", () => {
  const worthOf = (weight: number) =>
    rank({ leads: [{ line: 4, why: "", weight }] }).find((each) => each.line === 4)?.worth ?? 0;
  expect(worthOf(100)).toBeGreaterThan(worthOf(74));
  expect(worthOf(74)).toBeGreaterThan(worthOf(55));
  // A refusal's own line is what it is, however it is weighed.
  const refused = (weight: number) =>
    rank({ refused: true, leads: [{ line: 4, why: "", weight }] }).find((each) => each.line === 4)?.worth ?? 0;
  expect(refused(100)).toBe(refused(60));
});

test("What is added to a loop is weighed by the loop's header, too", () => {
  const faulty = 'line = input()\nwhile line != "end":\n    print(line)\n    print("next")\nprint("over")\n';
  const right =
    'line = input()\nwhile line != "end":\n    print(line)\n    print("next")\n    line = input()\nprint("over")\n';
  expect(placeOf("python", faulty, right, { leads: [lead(2)] })).toBeLessThan(2);
});

test("Where names must be declared and the translator took them, no misspelt name is tried early", () => {
  const text = (used: string) =>
    `class Main {\n  static int time = 3;\n  static int times = 4;\n  static int f() {\n    return ${used} * 2;\n  }\n}\n`;
  const families = (known: Partial<Parameters<typeof rankCandidates>[2]>) => {
    const language = findLanguage("java");
    const context = language && editContext(language, text("times"));
    if (!context) throw new Error("java");
    const ranked = rankCandidates(context, proposeEdits(context, "mend"), {
      ...{ leads: [lead(5)], refused: false, reported: null },
      ...known,
    });
    return ranked.slice(0, 8).map(({ edit }) => edit.family);
  };
  expect(families({})).not.toContain("name");
  expect(families({ refused: true, reported: 5 })).toContain("name");
});

test("The right change of a longer program is among the first dozens, though no lead names its line", () => {
  const right = `public class Main {
  static int[] times = new int[5];
  static int count = 0;
  static void add(int hours, int minutes) {
    times[count] = hours * 60 + minutes;
    count++;
  }
  static String clock(int time) {
    int hours = time / 60;
    int minutes = time % 60;
    return hours + ":" + minutes;
  }
  public static void main(String[] args) {
    java.util.Scanner in = new java.util.Scanner(System.in);
    while (in.hasNextInt()) {
      int hours = in.nextInt();
      int minutes = in.nextInt();
      if (hours >= 0 && hours < 24 && minutes >= 0 && minutes < 60) {
        add(hours, minutes);
      }
    }
    for (int i = 0; i < count; i++) {
      System.out.println(clock(times[i]));
    }
  }
}
`;
  const leads = [2, 23, 5].map((line) => ({ line, why: "", weight: 74 }));
  for (const [from, to] of [
    ["hours < 24 && minutes", "hours < 24 || minutes"],
    ["hours < 24", "hours <= 24"],
    ["time % 60", "time / 60"],
  ] as const) {
    const at = placeOf("java", right.replace(from, to), right, { leads });
    expect(at, to).toBeGreaterThanOrEqual(0);
    expect(at, to).toBeLessThan(120);
  }
});
