import { expect, test } from "vitest";
import { explain } from "../../reading/explain.ts";
import { basicForms } from "./basicForms.ts";
import { lookedThrough, saidBefore } from "./refusals.ts";

const main = (...lines: string[]) =>
  `Module Deck\n  Sub Main()\n${lines.map((line) => `    ${line}\n`).join("")}  End Sub\nEnd Module\n`;
const said = (text: string) => saidBefore(lookedThrough([{ name: "Deck.vb", text }]).problems, ["Deck.vb"]);
const first = (text: string) => basicForms.readMessages(said(text).refused)[0];

test.each([
  ["a name", main("crs = 3"), "meaning", "unknown name", "BC30451"],
  ["a type", main("Dim cars As Intger"), "meaning", "unknown type", "BC30002"],
  ["a member", main("Console.Writ(3)"), "meaning", "unknown member", "BC30456"],
  ["a bracket", main("Console.WriteLine(3"), "form", "bracket not closed", "BC30198"],
  ["a block", main("While 3 > 2"), "form", "block not closed", "BC30082"],
  ["an end too many", main("Loop"), "form", "block not closed", "BC30091"],
  ["values", main("Console.WriteLine(Len())"), "meaning", "wrong arguments", "BC30455"],
  ["a name twice", main("Dim cars As Integer", "Dim cars As Integer"), "meaning", "declared twice", "BC30288"],
  ["a constant", main("Dim cars As Byte = 256"), "meaning", "overflow", "BC30439"],
  [
    "a statement outside",
    "Module Deck\n  cars = 3\n  Sub Main()\n  End Sub\nEnd Module\n",
    "form",
    "word misplaced",
    "BC30689",
  ],
])(
  "what is said of %s is read again, told apart from the other kind of refusal, and explained",
  (_what, text, kind, about, code) => {
    const diagnostic = first(text);
    expect(diagnostic).toMatchObject({ severity: "error", file: "Deck.vb", code, stage: "translation", primary: true });
    if (!diagnostic) return;
    expect(basicForms.kindOfRefusal(diagnostic)).toBe(kind);
    expect(explain(basicForms, diagnostic)?.kind).toBe(about);
  },
);

test("the name that is not known is found in what is said", () => {
  const diagnostic = first(main("crs = 3"));
  expect(diagnostic && basicForms.unknownName(diagnostic)).toBe("crs");
});

test("a warning refuses nothing; what our translator does not run is no refusal", () => {
  const warned = said(
    "Module Deck\n  Sub Main()\n  End Sub\n  Function Room() As Integer\n  End Function\nEnd Module\n",
  );
  expect(warned.refused).toBe("");
  expect(warned.warned).toContain("warning BC42353");
  const gap = said(main("On Error Resume Next"));
  expect([gap.refused, gap.gap]).toEqual(["", "Line 3: “On” is known, but our engine does not run it."]);
  // Beside a real refusal it says nothing more.
  expect(said(main("On Error Resume Next", "crs = 3"))).toMatchObject({
    gap: null,
    refused: expect.stringContaining("BC30451"),
  });
});
