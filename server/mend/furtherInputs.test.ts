import { afterAll, beforeAll, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { tryFurtherInputs } from "./furtherInputs.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

function further(language: string, text: string, model?: string) {
  const found = findLanguage(language);
  if (!found) throw new Error(language);
  const program = (each: string) => ({
    language: found,
    files: [{ name: found.mainName, bytes: Buffer.from(each) }],
  });
  return tryFurtherInputs(toolchains, {
    ...program(text),
    ...(model === undefined ? {} : { model: program(model) }),
    ...{ shape: [], comparison: { prompts: "ignored" }, seconds: 20 },
  });
}

test("What still stops a mended program is told with an input, and a guard that was tried with it", async () => {
  const told = await further(
    "python",
    'cars = int(input("Cars? "))\nload = int(input("Load? "))\nshare = load / cars\nprint(share)\n',
  );
  const division = told.fails.find((fail) => fail.guard?.operation === "division");
  expect(division).toMatchObject({ how: "stops", line: 3, guard: { condition: "cars != 0", holds: false } });
  const conversion = told.fails.find((fail) => fail.guard?.operation === "conversion");
  expect(conversion).toMatchObject({ how: "stops", kind: "erroneous", guard: { handler: { fits: true } } });
  expect(told.well).toBeGreaterThan(5);
  // Where nothing behind it needs the value, the guard holds.
  const printed = await further(
    "python",
    'cars = int(input("Cars? "))\nprint("Cars:", cars)\nprint("Share:", 120 / cars)\n',
  );
  expect(printed.fails.find((fail) => fail.guard?.operation === "division")?.guard).toMatchObject({
    condition: "cars != 0",
    holds: true,
  });
});

test("Where there is a model, inputs that come out otherwise are told with both outputs; what stops both is no fault", async () => {
  const model = "cars = int(input())\nif cars < 10:\n    print(cars * 4)\nelse:\n    print(cars * 3)\n";
  const told = await further("python", model.replace("< 10", "<= 10"), model);
  expect(told.fails).toEqual([
    expect.objectContaining({
      how: "differs from the model",
      input: "10\n",
      says: "40\n",
      wanted: "30\n",
      guard: null,
    }),
  ]);
  expect(told.alsoTheModel).toBeGreaterThan(0);
});

test("A language whose runs are made one by one is tried, too; a program that reads nothing is said to", async () => {
  const c = await further(
    "c",
    '#include <stdio.h>\nint main(void)\n{\n    int cars;\n    scanf("%d", &cars);\n    printf("%d\\n", 120 / cars);\n    return 0;\n}\n',
  );
  expect(c.fails.some((fail) => fail.how === "stops" && fail.guard?.operation === "division")).toBe(true);
  expect((await further("python", "print(3)\n")).notTried).toContain("reads nothing");
});
