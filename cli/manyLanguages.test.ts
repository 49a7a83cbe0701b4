import { mkdtemp, rm, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { commandHere } from "./commandHere.ts";

let folder = "";
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), "bent-nail-"));
  await writeFile(join(folder, "deck.py"), 'print("Load", 4)\n');
});
afterAll(() => rm(folder, { recursive: true, force: true }));

/** Runs bent-nail as a person would, in the folder of the test's files. */
const bentNail = (given: string[]) => commandHere(folder, given);

test("judge and trace in all six languages, known by the file's ending", async () => {
  const programs: Record<string, { text: string; line: number }> = {
    "Deck.java": {
      text: "public class Deck {\n  public static void main(String[] args) {\n    int[] loads = {4, 9};\n    System.out.println(loads[2]);\n  }\n}\n",
      line: 4,
    },
    "deck.c": {
      text: '#include <stdio.h>\nint main(void)\n{\n    int loads[2] = {4, 9};\n    printf("%d\\n", loads[1] + totl);\n}\n',
      line: 5,
    },
    "Deck.cs": {
      text: "class Deck {\n  static void Main() {\n    int[] loads = {4, 9};\n    System.Console.WriteLine(loads[2]);\n  }\n}\n",
      line: 4,
    },
    "deck.pas": {
      text: "program Deck;\nvar load: integer;\nbegin\n  load := 0;\n  writeln(4 div load);\nend.\n",
      line: 5,
    },
    "deck.m": { text: "loads = [4 9];\ndisp(loads(3))\n", line: 2 },
    "loads.py": { text: "loads = [4, 9]\nprint(loads[2])\n", line: 2 },
  };
  for (const [name, { text }] of Object.entries(programs)) await writeFile(join(folder, name), text);
  const list = Object.entries(programs).map(([name, { text }]) =>
    JSON.stringify({
      id: name,
      language: { java: "java", c: "c", cs: "csharp", pas: "pascal", m: "octave", py: "python" }[
        name.split(".").pop() ?? ""
      ],
      program: { [name]: text },
    }),
  );
  await writeFile(join(folder, "six.jsonl"), list.join("\n"));
  const { out } = await bentNail(["judge", "--batch", "six.jsonl", "--search", "0"]);
  const judged = out
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line));
  expect(judged.map((each) => [each.id, each.class, each.reportedLine])).toEqual(
    Object.entries(programs).map(([name, { line }]) => [name, name === "deck.c" ? "syntax" : "runtime", line]),
  );
  for (const name of ["Deck.java", "deck.pas", "deck.m"]) {
    const { out: table } = await bentNail(["trace", name, "--format", "csv"]);
    expect([name, table]).toEqual([name, expect.stringMatching(/loads|load/)]);
    expect(table.split("\n").length).toBeGreaterThan(2);
  }
  expect((await bentNail(["judge", "deck.m"])).out).toContain("reported line  2");
});

test("draw prints the picture of a sketch, after a frame or after each; what it cannot do is said", async () => {
  await writeFile(
    join(folder, "ferry.sketch"),
    "int x = 5;\nvoid draw() {\n  background(255);\n  x += 2;\n  rect(x, 9, 8, 4);\n}\n",
  );
  await writeFile(join(folder, "six.txt"), "frame 6\n");
  await writeFile(join(folder, "wrong.txt"), "frame 6\nclik 4 4\n");
  const third = await bentNail(["draw", "ferry.sketch", "--input", "six.txt", "--frame", "3"]);
  const film = await bentNail(["draw", "ferry.sketch", "--input", "six.txt", "--film"]);
  const past = await bentNail(["draw", "ferry.sketch", "--input", "six.txt", "--frame", "7"]);
  const misread = await bentNail(["draw", "ferry.sketch", "--input", "wrong.txt"]);
  const other = await bentNail(["draw", "deck.py"]);
  expect(third.out).toMatch(/^<svg [^>]+>.*<rect x="11" y="9" width="8" height="4"/);
  expect(film.out.match(/<text /g)).toHaveLength(6);
  expect([past.code, past.err]).toEqual([1, expect.stringContaining("there is no frame 7; the last one is 6")]);
  expect([misread.code, misread.err]).toEqual([
    1,
    expect.stringContaining("wrong.txt, line 2: “clik” is none of frame"),
  ]);
  expect([other.code, other.err]).toEqual([1, expect.stringContaining("programs in Python draw nothing here")]);
});
