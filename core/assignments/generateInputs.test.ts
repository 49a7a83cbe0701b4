import { expect, test } from "vitest";
import { generateInputs } from "./generateInputs.ts";
import { inputShapeSchema } from "./inputShape.ts";

const shape = inputShapeSchema.parse([
  { name: "cars", kind: "whole", from: 0, to: 6 },
  { name: "load", kind: "whole", from: 1, to: 40, repeat: "cars" },
  { name: "deck", kind: "choice", choices: ["upper", "lower"] },
]);

test("inputs are valid, all different, the same ones each time, and as many as there are to be had", () => {
  const inputs = generateInputs(shape, new Map([["load", [12]]]), 200);
  expect(inputs).toHaveLength(200);
  expect(new Set(inputs).size).toBe(200);
  expect(generateInputs(shape, new Map([["load", [12]]]), 200)).toEqual(inputs);
  for (const input of inputs) {
    const lines = input.trimEnd().split("\n");
    const cars = Number(lines[0]);
    expect(lines).toHaveLength(cars + 2);
    for (const load of lines.slice(1, -1)) expect(Number(load) >= 1 && Number(load) <= 40).toBe(true);
    expect(["upper", "lower"]).toContain(lines.at(-1));
  }
  // The limit and its neighbours are among them often.
  const loads = inputs.flatMap((input) => input.trimEnd().split("\n").slice(1, -1)).map(Number);
  for (const near of [11, 12, 13]) expect(loads.filter((load) => load === near).length).toBeGreaterThan(10);
});

test("a few inputs are about every value, at its limits first", () => {
  const two = inputShapeSchema.parse([
    { name: "fare", kind: "whole" },
    { name: "cars", kind: "whole" },
  ]);
  const some = generateInputs(two, new Map([["cars", [10]]]), 5).map((input) => input.trim().split("\n"));
  expect(some.map(([, cars]) => cars)).toContain("10");
  expect(new Set(some.map(([fare]) => fare)).size).toBeGreaterThan(1);
});

test("where nothing is read there is nothing to draw", () => {
  expect(generateInputs([], new Map(), 200)).toEqual([]);
});
