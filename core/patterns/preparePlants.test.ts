import { expect, test } from "vitest";
import { editContext } from "../edits/context.ts";
import { proposeEdits } from "../edits/families.ts";
import { findLanguage } from "../languages/languages.ts";
import { plantedKinds, plantsOf, preparePlants } from "./plant.ts";

const programs = [
  ["python", "loads = [4, 7, 2]\ntotal = 0\nfor load in loads:\n    total = total + load\nprint(total)\n"],
  [
    "java",
    "public class Main {\n  public static void main(String[] a) {\n    int deck = 3;\n    while (deck > 0) deck--;\n  }\n}\n",
  ],
  ["pascal", "program P;\nvar car: integer;\nbegin\n  for car := 1 to 3 do\n    writeln(car);\nend.\n"],
] as const;

test.each(programs)(
  "%s: others have their turn before each small change, and what is found is the same",
  async (id, program) => {
    const language = findLanguage(id);
    const context = language && editContext(language, program);
    if (!language || !context) throw new Error(id);
    let turns = 0;
    const pause = async () => {
      turns += 1;
    };
    await preparePlants(language, program, pause);
    expect(turns).toBe(proposeEdits(context, "plant").length);
    expect(turns).toBeGreaterThan(10);
    const all = plantedKinds(language, program);
    expect(all.size).toBeGreaterThan(3);
    for (const [kind, planted] of all) expect(plantsOf(kind, language, program)).toEqual(planted);
    // What is known is not worked out again.
    await preparePlants(language, program, pause);
    expect(turns).toBe(proposeEdits(context, "plant").length);
  },
);

test("a pause that breaks off leaves nothing half found behind", async () => {
  const language = findLanguage("python");
  if (!language) throw new Error("no Python");
  const program = "tide = 3\nif tide > 2:\n    print(tide)\nelse:\n    print(0)\n";
  let turns = 0;
  const broken = preparePlants(language, program, async () => {
    turns += 1;
    if (turns === 5) throw new Error("the server ends");
  });
  await expect(broken).rejects.toThrow("the server ends");
  const all = plantedKinds(language, program);
  for (const [kind, planted] of all) expect(plantsOf(kind, language, program)).toEqual(planted);
});

test("a language that nobody takes apart has nothing, at once", async () => {
  const language = findLanguage("steps");
  if (!language) throw new Error("no steps");
  await preparePlants(language, "print 1\n", () => Promise.reject(new Error("nothing to wait for")));
  expect(plantsOf("colon-missing", language, "print 1\n")).toEqual([]);
});
