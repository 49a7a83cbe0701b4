import { expect, test } from "vitest";
import { surroundingsSchema, withSurroundings } from "./surroundings.ts";

const bytes = (text: string) => new TextEncoder().encode(text);
const files = [
  { name: "deck.py", bytes: bytes("print(4)") },
  { name: "loads.txt", bytes: bytes("4\n") },
  { name: "tides.txt", bytes: bytes("2\n") },
];

test("a check changes a file, takes one away and adds one; the program stays", () => {
  const changed = withSurroundings(files, {
    "loads.txt": "9\n",
    "tides.txt": null,
    "boats.txt": "Tern\n",
    "deck.py": "other",
  });
  expect(changed.map((file) => [file.name, new TextDecoder().decode(file.bytes)])).toEqual([
    ["deck.py", "print(4)"],
    ["loads.txt", "9\n"],
    ["boats.txt", "Tern\n"],
  ]);
  expect(withSurroundings(files, {})).toEqual(files);
});

test("names that lead out of the folder are refused", () => {
  for (const name of ["/etc/passwd", "../up.txt", "a/../../up", ""])
    expect(surroundingsSchema.safeParse({ [name]: "x" }).success).toBe(false);
  expect(surroundingsSchema.safeParse({ "data/boats.txt": "Tern", "gone.txt": null }).success).toBe(true);
});
