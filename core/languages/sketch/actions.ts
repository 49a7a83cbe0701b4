import type { UserActions } from "../language.ts";

const coded = "left up right down shift control alt space enter tab backspace delete escape".split(" ");
const buttons = new Set(["left", "right", "middle"]);
const isPlace = (word: string | undefined) => /^-?\d{1,6}$/.test(word ?? "");

/** A key by its sign or its name. */
const isKey = (name: string) => [...name].length === 1 || coded.includes(name.toLowerCase());

/** What is wrong with one line of what the user does; null where nothing is (docs/sketches.md). */
function problemOf(line: string): string | null {
  const [word = "", ...given] = line.trim().split(/\s+/);
  const name = line.trim().replace(/^\S+\s*/, "");
  const click =
    given.length === 0 || ((given.length === 2 || given.length === 3) && isPlace(given[0]) && isPlace(given[1]));
  switch (word.toLowerCase()) {
    case "":
      return null;
    case "frame":
      return given.length === 1 && /^\d{1,4}$/.test(given[0] ?? "") ? null : "behind frame stands its number";
    case "mouse":
      return given.length === 2 && given.every(isPlace) ? null : "behind mouse stand two whole numbers";
    case "press":
      return given.length === 0 || (given.length === 1 && buttons.has(given[0] ?? ""))
        ? null
        : "a button is left, right or middle";
    case "release":
      return given.length === 0 ? null : "behind release stands nothing";
    case "click":
      return click && (given.length < 3 || buttons.has(given[2] ?? ""))
        ? null
        : "behind click stand two whole numbers, and a button";
    case "key":
    case "keydown":
      return isKey(name) ? null : `behind ${word} stands one sign, or one of ${coded.join(", ")}`;
    case "keyup":
      return null;
    default:
      return `“${word}” is none of frame, mouse, press, release, click, key, keydown, keyup`;
  }
}

/** What the user of a sketch does, a line each. */
export const sketchActions: UserActions = {
  label: "What the user does",
  note: "a line each: frame 5 · mouse 40 20 · click 40 20 · press · release · key a · keydown left · keyup. A last line frame 30 ends the run there; else it ends after frame 60.",
  problems: (input) =>
    input.split(/\r\n|\n|\r/).flatMap((line, at) => {
      const says = problemOf(line);
      return says === null ? [] : [{ line: at + 1, says }];
    }),
};
