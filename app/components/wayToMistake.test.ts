import { createElement } from "react";
import { expect, test } from "vitest";
import { textOfPage } from "../askRoute.ts";
import { WayToMistake } from "./WayToMistake.tsx";

const Shown = ({ loaderData }: { loaderData: Parameters<typeof WayToMistake>[0] }) =>
  createElement(WayToMistake, loaderData);
const lines = ["cars = 0", "share = cars", "print(30 / share)"];

test("each line of the way stands with its text and its reason; several mistakes are numbered", () => {
  const way = [
    { line: 3, why: "It stopped here." },
    { line: 1, why: "“cars” got its value here." },
  ];
  const one = textOfPage(Shown, { ways: [way, []], lines });
  expect(one).toMatch(/Line 3: print\(30 \/ share\) It stopped here\. Line 1: cars = 0/);
  expect(one).not.toContain("Mistake 1");
  expect(textOfPage(Shown, { ways: [way, [{ line: 2, why: "Here." }]], lines })).toMatch(
    /Mistake 1 .*Mistake 2 Line 2/,
  );
  expect(textOfPage(Shown, { ways: [[], []], lines }).trim()).toBe("");
});

test("a line that the program does not have is named without its text", () => {
  expect(textOfPage(Shown, { ways: [[{ line: 9, why: "Gone." }]], lines })).toContain("Line 9: Gone.");
});
