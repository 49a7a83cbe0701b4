import { expect, test } from "vitest";
import { piecesAsked } from "./cells.ts";
import { formFacts, pieceOfForms } from "./formFacts.ts";
import { readForms, type ShownControl } from "./forms.ts";

const control = (
  name: string,
  kind: ShownControl["kind"],
  text: string,
  more: Partial<ShownControl> = {},
): ShownControl => ({
  ...{ name, kind, text, enabled: true, visible: true },
  ...more,
});
const shown = {
  forms: [
    {
      ...{ name: "Form1", text: "", closed: false },
      controls: [
        control("txtAdults", "box", "3"),
        control("lblFare", "label", "two\r\nlines", { colour: "red" }),
        control("btnWork", "button", "Work", { enabled: false }),
        control("chkReturn", "check", "Return", { checked: true }),
        control("lstBoats", "list", "", { items: ["Gannet", "Puffin"], chosen: 1 }),
        control("lblHidden", "label", "deep", { visible: false }),
      ],
    },
  ],
  ...{ unheard: [], missed: [] },
};

test("what can be seen of a form is told with every result, a line each; a text of several lines is one", () => {
  expect(pieceOfForms(shown)).toMatchObject({
    ...{ kind: "out", picture: true },
    text: "form txtAdults = 3\nform lblFare = two lines\nform chkReturn = ticked\nform lstBoats = Gannet | Puffin\n",
  });
});

test("a check may ask for anything else of it, in its own order", () => {
  const asked = (intended: string) => piecesAsked([pieceOfForms(shown)], intended)[0]?.text;
  expect(asked("form btnWork usable = yes\nform lblHidden = x\nform txtAdults = 4\n")).toBe(
    "form btnWork usable = no\nform lblHidden = deep\nform txtAdults = 3\n",
  );
  expect(asked("form lblFare colour = blue\nform lstBoats chosen = Gannet\n")).toBe(
    "form lblFare colour = red\nform lstBoats chosen = Puffin\n",
  );
  // One who asks for nothing of a form compares what was printed.
  expect(asked("Total: 3\n")).toBe("");
  expect(formFacts(shown).others.map(([name]) => name)).not.toContain("txtAdults colour");
});

test("what a runner told is read; the last one counts, and what is none is left out", () => {
  const told = (name: string) => JSON.stringify({ ...shown, unheard: [name] });
  expect(readForms([told("a"), "{broken", '{"forms":3}'])?.unheard).toEqual(["a"]);
  expect(readForms([told("a"), told("b")])?.unheard).toEqual(["b"]);
  expect(readForms(["", "null"])).toBeNull();
});
