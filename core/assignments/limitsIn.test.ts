import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { inputShapeSchema } from "./inputShape.ts";
import { limitsIn } from "./limitsIn.ts";

const python = findLanguage("python");
const limits = (program: string, shape: object[]) => {
  if (!python) throw new Error("python");
  return Object.fromEntries(limitsIn(python, program, inputShapeSchema.parse(shape)));
};

test("Numbers stand under the value that is compared with them, others under no name", () => {
  const program = "wind = int(input())\ntotal = wind * 2\nif wind <= 8 and total > 20:\n    print(1)\n";
  expect(limits(program, [{ name: "wind", kind: "whole" }])).toEqual({ wind: [8], "": [20] });
});

test("The number that ends what is typed in again and again is no limit", () => {
  const program =
    "load = int(input())\nwhile load != 0:\n    if load > 12:\n        print(1)\n    load = int(input())\n";
  expect(limits(program, [{ name: "load", kind: "whole", repeat: "until 0" }])).toEqual({ load: [12] });
});

test("A program that compares nothing has none", () => {
  expect(limits("print(input())\n", [{ name: "boat", kind: "text" }])).toEqual({});
});
