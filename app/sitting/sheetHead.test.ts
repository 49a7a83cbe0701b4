import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import type { StudentView } from "../../server/results/studentView.ts";
import { keptBench } from "../components/BenchChoices.tsx";
import type { SaveState } from "./outbox.ts";
import { SheetHead } from "./SheetHead.tsx";
import { leftInWords } from "./TimeLeft.tsx";
import type { Room } from "./useRoom.ts";

const room: Room = {
  ...{ open: true, handedIn: false, paused: false, endsAt: null },
  ...{ word: "", ahead: 0, reached: true },
};

/** What the head of a sheet says. */
function head(save: SaveState, more: { room?: Partial<Room>; view?: Partial<StudentView> } = {}): string {
  const view = { title: "Deck loads", label: "S-01", attempt: 1, handedIn: false, closed: false, ...more.view };
  const props = { view: view as StudentView, room: { ...room, ...more.room }, save, onEnd: () => undefined };
  return renderToStaticMarkup(createElement(SheetHead, props)).replace(/<[^>]+>/g, " ");
}
const saved: SaveState = { state: "saved", message: "", at: null };

test.each([
  [0, "0 seconds"],
  [1, "1 second"],
  [119_000, "119 seconds"],
  [119_001, "2 minutes"],
  [60 * 60_000, "60 minutes"],
  [-5000, "0 seconds"],
])("%i milliseconds left are %s", (left, words) => {
  expect(leftInWords(left)).toBe(words);
});

test("how answers are kept is said with when; what has to be read stays in sight after the end, too", () => {
  expect(head(saved)).toContain("All answers are saved.");
  expect(head({ ...saved, at: new Date(2026, 10, 28, 10, 42).getTime() })).toContain("The last one at 10:42.");
  expect(head({ state: "saving", message: "", at: null })).toContain("Saving…");
  expect(head(saved, { view: { handedIn: true } })).toContain("Handed in.");
  const late: SaveState = { state: "told", message: "This came late.", at: 0 };
  expect(head(late, { view: { handedIn: true } })).toContain("This came late.");
});

test("a word and a pause are said; a pause not after the end", () => {
  expect(head(saved, { room: { word: "Look at line 3." } })).toContain("Look at line 3.");
  expect(head(saved, { room: { paused: true } })).toContain("Paused.");
  expect(head(saved, { room: { paused: true }, view: { closed: true } })).not.toContain("Paused.");
  expect(head(saved, { view: { attempt: 2 } })).toContain("S-01, try 2");
});

test("what cannot be read of a kept bench is as usual", () => {
  expect(keptBench("night larger")).toEqual({ bench: "night", type: "larger" });
  for (const kept of [null, "", "dark huge", "  "]) expect(keptBench(kept)).toEqual({ bench: "day", type: "usual" });
});
