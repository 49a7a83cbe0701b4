import { expect, test } from "vitest";
import { zipOf } from "../classwork/checkZip.ts";
import { readUpload } from "./readUpload.ts";

const entry = (path: string, text: string) => ({ path, bytes: Buffer.from(text) });
const minimal = JSON.stringify({
  format: "bent-nail-assignment",
  version: 1,
  title: "Deck",
  checks: [{ input: "1\n" }],
});

test("an assignment is read from its file, from a zip that holds it, and from files in a zip or beside one another", async () => {
  const inside = [entry("deck/assignment.json", minimal), entry("deck/readme.txt", "x")];
  for (const given of [
    [entry("deck.json", minimal)],
    [{ path: "deck.zip", bytes: await zipOf(inside) }],
    [entry("readme.txt", "x"), entry("assignment.json", minimal)],
  ])
    expect(await readUpload(given)).toMatchObject({ ok: true, assignment: { title: "Deck" } });
  const files = [entry("1.in", "4\n"), entry("1.out", "8\n"), entry("2.in", "5\n"), entry("notes.txt", "x")];
  for (const given of [files, [{ path: "checks.zip", bytes: await zipOf(files) }]]) {
    const read = await readUpload(given);
    expect(read).toMatchObject({ ok: true, leftOut: ["notes.txt"] });
    expect(read.ok && read.assignment.checks.map((check) => check.expected)).toEqual(["8\n", null]);
  }
});

test.each([
  ["nothing", [], "Choose a file first."],
  ["no assignment", [entry("notes.txt", "x")], "no NAME.in"],
  ["a broken zip", [entry("deck.zip", "PK no zip")], "deck.zip"],
  ["broken JSON", [entry("deck.json", "{")], "no JSON"],
  ["21 MB", [{ path: "deck.json", bytes: Buffer.alloc(21 * 1024 * 1024) }], "larger than 20 MB"],
] as const)("%s is refused with words", async (_, given, words) => {
  expect(await readUpload(given)).toMatchObject({ ok: false, message: expect.stringContaining(words) });
});
