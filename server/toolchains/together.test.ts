import { afterAll, expect, test } from "vitest";
import { consoleText } from "../../core/outcome/outcome.ts";
import { sharedToolchains } from "../testToolchains.ts";
import { partOfC, partOfPascal } from "./parts.ts";
import { limitsOfEach, runTexts, type Text } from "./testMany.ts";

const toolchains = sharedToolchains();
afterAll(() => toolchains.close());

/** How far each came and what it printed in company is what it does alone; warnings are not asked for there. */
async function sameAsAlone(language: string, name: string, texts: readonly Text[]) {
  const together = await runTexts(toolchains, language, name, texts);
  expect(together.flatMap((outcome, at) => (outcome === null ? [at] : []))).toEqual([]);
  for (const [at, [text, input]] of texts.entries()) {
    const request = { files: [{ name, bytes: Buffer.from(text) }], input, limits: limitsOfEach, hurried: true };
    const alone = await toolchains.find(language)?.run(request);
    const seen = (outcome: typeof alone | null) => ({
      ...{ started: outcome?.started, stoppedBy: outcome?.stoppedBy, exit: outcome?.exit, effects: outcome?.effects },
      printed: consoleText(outcome?.console ?? [], ["out", "in"]),
      ranOut: outcome?.inputRanOut,
      line: outcome?.diagnostics.find((each) => each.severity === "error")?.line,
    });
    expect(seen(together[at]), text).toEqual(seen(alone));
  }
}

const c = (body: string, outside = "", head = "int main(void)") =>
  `#include <stdio.h>\n#include <string.h>\n#define DECKS 3\n${outside}\nstatic int total;\nint load(int cars) {\n  total += cars;\n  return total;\n}\n${head} {\n  ${body}\n}\n`;

test("C variants built as one program give what their own runs would: outputs, refusals, exits, what they read", async () => {
  await sameAsAlone("c", "ferry.c", [
    [c('int cars;\n  printf("Cars? ");\n  scanf("%d", &cars);\n  printf("%d %d\\n", load(cars), DECKS);'), "7\n"],
    [c('printf("%d\\n", load(1));'), ""],
    [c('printf("%d\\n", load(1))'), ""],
    [c('printf("%d\\n", tide);', "double high = 3.1;"), ""],
    [c('printf("%d\\n, load(1));'), ""],
    [c('printf("%d\\n", load(1);'), ""],
    [c('printf("Sail\\n");\n  return 3;'), ""],
    [
      c(
        'struct Boat b = {"Tern", 4};\n  printf("%s %d %d\\n", b.name, b.length, HIGH);',
        "struct Boat { char name[10]; int length; };\nenum Tide { LOW, HIGH = 5 };",
      ),
      "",
    ],
    [
      c(
        'Boat b = {4};\n  printf("%d %d\\n", b.total, apply(twice, b.total));',
        "typedef struct { int total; } Boat;\ntypedef int (*change)(int);\nint twice(int n) { return n * 2; }\nint apply(change how, int n) { return how(n); }",
      ),
      "",
    ],
    [c('FILE *left = fopen("left.txt", "w");\n  fputs("tide", left);\n  fclose(left);'), ""],
    [c('FILE *left = fopen("left.txt", "r");\n  printf("%d\\n", left == NULL);'), ""],
    [c("while (1) load(1);"), ""],
  ]);
});

test("A C variant that a signal ends says so; one that cannot be one of several is told by a run of its own only", async () => {
  const told = await runTexts(toolchains, "c", "ferry.c", [
    [c('int *place = 0;\n  printf("%d\\n", *place);'), ""],
    [c('printf("last\\n");'), ""],
    [c('printf("%d\\n", HERE);', "#ifdef DECKS\n#define HERE 1\n#endif"), ""],
    [c('printf("open\\n");').replace(/\}\n$/, ""), ""],
  ]);
  expect(told.map((outcome) => outcome?.stoppedBy)).toEqual(["fault", "none", undefined, undefined]);
  expect(told[0]?.exit.signal).toBe(11);
  expect(consoleText(told[1]?.console ?? [], ["out"])).toBe("last\n");
});

const pascal = (body: string, outside = "", head = "program Ferry;\n") =>
  `{ Kittiwake Crossing }\n${head}${outside}\nvar total: integer;\nfunction load(cars: integer): integer;\nbegin\n  total := total + cars;\n  load := total\nend;\nbegin\n  ${body}\nend.\n`;

test("Pascal variants built as one program give what their own runs would", async () => {
  await sameAsAlone("pascal", "ferry.pas", [
    [pascal("write('Cars? ');\n  readln(total);\n  writeln(load(1))"), "7\n"],
    [pascal("writeln(load(1))"), ""],
    [pascal("writeln(load(1)"), ""],
    [pascal("writeln(lode(1))"), ""],
    [pascal("total := 0;\n  writeln('Loading');\n  writeln(7 div total)"), ""],
    [pascal("writeln('Sail');\n  halt(3)"), ""],
    [
      pascal("case total of\n    0: writeln('none');\n    1: begin writeln('one') end\n  else writeln('many')\n  end"),
      "",
    ],
    [
      pascal("boat.length := 4;\n  writeln(boat.length)", "type Boats = record length: integer end;\nvar boat: Boats;"),
      "",
    ],
    [pascal("while true do load(0)"), ""],
    [pascal("writeln(load(2))", "", ""), ""],
  ]);
});

test("lines keep their numbers in a part, and what does not fit among others is no part", () => {
  const text = c("return load(2);");
  const part = partOfC(text, 4)?.text ?? "";
  const own = part.slice(part.indexOf('#line 1 "t4.c"\n') + 15).split("\n");
  expect(own.indexOf("int load(int cars) {")).toBe(text.split("\n").indexOf("int load(int cars) {"));
  expect(part).toContain("#define load bn4_load\n");
  expect(part).not.toContain("#define printf");
  for (const each of [
    "",
    "int main(void) { return 0;",
    '#include "deck.h"\nint main(void) { return 0; }\n',
    "int mian(void) { return 0; }\n",
  ])
    expect(partOfC(each, 0)).toBeNull();
  const lines = partOfPascal(pascal("writeln(1)", "", "program\n  Ferry;\n"), 2)?.text.split("\n") ?? [];
  expect(lines.indexOf("  writeln(1)")).toBe(11);
  for (const each of [
    "",
    "begin end",
    "type Boat = class end; begin end.",
    "label 1; begin 1: goto 1 end.",
    "{$I deck.inc} begin end.",
  ])
    expect(partOfPascal(each, 0)).toBeNull();
});
