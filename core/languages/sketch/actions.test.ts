import { expect, test } from "vitest";
import { sketchActions } from "./actions.ts";

test("what a user does is read a line at a time; blank lines are nothing", () => {
  const good =
    "frame 5\nmouse 40 20\n\nclick 40 20 right\nclick\npress left\nrelease\nkey a\nkey Space\nkeydown up\nkeyup\nframe 60\n";
  expect(sketchActions.problems(good)).toEqual([]);
});

test("a line that is none of these is named, with what is wrong", () => {
  const bad = "frame five\nmouse 40\npress thumb\nrelease now\nclick 4\nkey return key\nprss 3 4\nmouse 1.5 2\n";
  expect(sketchActions.problems(bad).map(({ line }) => line)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  expect(sketchActions.problems("frame 2\r\nprss 3 4")).toEqual([
    { line: 2, says: expect.stringContaining("“prss” is none of frame") },
  ]);
});
