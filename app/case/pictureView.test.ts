import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import type { Drawing } from "../../core/outcome/drawing.ts";
import { DrawnFrames } from "../components/DrawnFrames.tsx";
import { pictureView } from "./pictureView.ts";

const frame = (number: number, more: Partial<Drawing["frames"][number]> = {}): Drawing["frames"][number] => ({
  ...{ frame: number, width: 80, height: 40, background: "#ffffff", shapes: [["rect", 0, number, 1, 5, 5]] },
  ...more,
});
const drawing = (frames: Drawing["frames"], last: number): Drawing => ({
  ...{ frames, last },
  pens: [
    ["#000000", null, 1, 12, "left", "baseline"],
    ["#ffffff", null, 1, 12, "left", "baseline"],
  ],
});
const shown = (of: Drawing) =>
  renderToStaticMarkup(
    createElement(DrawnFrames, { picture: pictureView(of), address: "/p?check=c", label: "check 1" }),
  );

test("a whole film: frames from the first to the last, each by its address", () => {
  const html = shown(drawing([frame(1), frame(2)], 30));
  expect(html).toContain("<strong>80 × 40</strong>, 30 frames, 1 shape in the last");
  for (const each of [1, 7, 13, 18, 24, 30]) expect(html).toContain(`src="/p?check=c&amp;frame=${each}"`);
  expect(html).toContain("All frames as SVG");
});

test("where there was no room for all frames, those that are known and the last one are shown", () => {
  const view = pictureView(drawing([frame(1), frame(2), frame(9), frame(60, { whole: true, left: 1500 })], 60));
  expect(view).toMatchObject({ keptUntil: 9, frames: [1, 3, 5, 7, 9, 60], left: 1500, shapes: 1501 });
  expect(shown(drawing([frame(1), frame(9), frame(60, { whole: true, left: 1500 })], 60))).toContain(
    "frames are kept up to 9, and the last; 1,500 of them are only counted",
  );
});

test("of a run that had company only the last picture is there", () => {
  const view = pictureView(drawing([frame(60, { whole: true })], 60));
  expect(view).toMatchObject({ keptUntil: null, frames: [60] });
});

test("an empty area says why nothing is seen", () => {
  expect(pictureView(drawing([frame(1, { shapes: [] })], 1)).blank).toBe("no shape was drawn");
  const odd: Drawing["frames"][number]["shapes"] = [
    ["rect", 0, 200, 1, 5, 5],
    ["rect", 0, 300, 1, 5, 5],
    ["rect", 1, 1, 1, 5, 5],
  ];
  const html = shown(drawing([frame(1, { shapes: odd })], 1));
  expect(html).toContain("2 shapes lie outside of the area, 1 shape lies in the colour of the background");
});
