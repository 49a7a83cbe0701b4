import { readFileSync } from "node:fs";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { consoleText, limitsSchema, type Outcome, type ProgramFiles } from "../../core/outcome/outcome.ts";
import { findAssignment, insertAssignment, setAssignmentOfCases } from "../assignments/assignmentStore.ts";
import { insertCheck } from "../assignments/checkStore.ts";
import { insertModel } from "../assignments/modelStore.ts";
import { collectCase, findCase, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { judgeOfAssignment } from "../classwork/judgeAssignment.ts";
import { proveModels } from "../classwork/models.ts";
import { saveCheck } from "../judge/checks.ts";
import { sayIntention } from "../judge/decisions.ts";
import { judgeVersion } from "../judge/judge.ts";
import { tryFix } from "../mend/tryFix.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { productFolder } from "../productFolder.ts";
import { byTeacher, openTestServices } from "../testServices.ts";

/** Signs that are put wherever a run can have text; a program that finds one in its own reach has found another run. */
const sign = (role: string) => `Kq7Zw9-${role}`;
const folder = join(productFolder, "server/sandbox/isolation");
const limits = { ...limitsSchema.parse({}), cpuSeconds: 20, wallSeconds: 30 };

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

function toolchain(language: string) {
  const found = services.toolchains.find(language);
  if (!found) throw new Error(`no toolchain for ${language}`);
  return found;
}

/** Programs that carry signs in their text and names, print their input, and stop with a message. */
const carriers: Readonly<Record<string, string>> = {
  python: `# ${sign("program text")}\ndeck = "${sign("literal")}"\nline = input()\nprint(line, deck)\nopen("${sign("left file")}", "w").write(line)\nraise ValueError(line)\n`,
  c: `/* ${sign("program text")} */\n#include <stdio.h>\nint main(void) { char line[200]; fgets(line, 200, stdin); puts(line); fputs("${sign("error output")}", stderr); return *(volatile int *)0; }\n`,
  java: `// ${sign("program text")}\npublic class Carrier { public static void main(String[] a) { String line = new java.util.Scanner(System.in).nextLine(); System.out.println(line); throw new IllegalStateException("${sign("literal")}" + line); } }\n`,
  csharp: `// ${sign("program text")}\nclass Carrier { static void Main() { string line = System.Console.ReadLine(); System.Console.WriteLine(line); throw new System.Exception("${sign("literal")}" + line); } }\n`,
  pascal: `{ ${sign("program text")} }\nvar line: string;\nbegin readln(line); writeln(line, '${sign("literal")}'); halt(3); end.\n`,
  octave: `# ${sign("program text")}\nline = input("", "s");\ndisp(line)\nerror("${sign("literal")}");\n`,
};

function filesOf(language: string, name: string, text: string): ProgramFiles {
  const extension = findLanguage(language)?.extension ?? "";
  return [{ name: `${name}${extension}`, bytes: Buffer.from(text) }];
}

async function search(language: string): Promise<Outcome> {
  const extension = findLanguage(language)?.extension ?? "";
  return toolchain(language).run({
    files: filesOf(language, "search", readFileSync(join(folder, `search${extension}`), "utf8")),
    input: "",
    limits,
  });
}

/** How often runs that carry something and searches for it follow one another. */
const rounds = process.env.BENT_NAIL_LONG ? 4 : 1;

const nothing = /^found (0|\[\])\n$/;

test.each(Object.keys(carriers))("%s: no run finds anything of those before it", async (language) => {
  const carrier = toolchain(language);
  const request = {
    files: [
      ...filesOf(language, "carrier", carriers[language] ?? ""),
      { name: `${sign("file name")}.txt`, bytes: Buffer.from(sign("file content").repeat(200)) },
    ],
    input: `${sign("typed input")}\n`.repeat(20),
    limits,
  };
  for (let round = 0; round < rounds; round += 1) {
    const carried = await Promise.all([
      carrier.run(request),
      carrier.run(request),
      carrier.trace(request),
      carrier.check(request),
    ]);
    expect(consoleText(carried[0].console, ["out"])).toContain(sign("typed input"));
    // As many at once as there are workers, so that each of them is met.
    for (const outcome of await Promise.all([search(language), search(language), search(language), search(language)]))
      expect([consoleText(outcome.console, ["out", "err"]), outcome.stoppedBy]).toEqual([
        expect.stringMatching(nothing),
        "none",
      ]);
  }
});

test("a search does find what is in its own reach", async () => {
  const files = [
    ...filesOf("python", "search", readFileSync(join(folder, "search.py"), "utf8")),
    { name: "other.txt", bytes: Buffer.from(sign("own file")) },
  ];
  const outcome = await toolchain("python").run({ files, input: `${sign("own input")}\n`, limits });
  const said = consoleText(outcome.console, ["out"]);
  expect(said).toContain("memory Kq7Zw9-own input");
  expect(said).toContain("file Kq7Zw9-own file");
});

test("labels, checks, intentions and fixes of a teacher's case are in no program's reach", async () => {
  const { database } = services;
  const course = await addCourse(database, sign("course"), "python");
  await addStudents(database, course, [sign("label")]);
  const [student] = await listStudents(database, course);
  const program = "deck = [4, 7]\nprint(deck[2])\n";
  const key = await collectCase(database, {
    language: "python",
    course,
    student: student?.key ?? null,
    title: sign("title"),
    intent: sign("intent"),
    changedLast: sign("changed last"),
    files: filesOf("python", "deck", program),
    input: `${sign("typed input")}\n`,
    expected: `7 ${sign("expected")}\n`,
    symptom: null,
  });
  const whole = async (): Promise<WholeCase> => {
    const found = await findCase(database, key);
    if (!found) throw new Error("no case");
    return found;
  };
  await saveCheck(services, await whole(), byTeacher(await whole()), null, {
    input: sign("second input"),
    expected: sign("second expected"),
    kind: "normal",
  });
  const before = await whole();
  await judgeVersion(services, before, versionOf(before, before.current_version));
  await tryFix(
    services,
    await whole(),
    byTeacher(await whole()),
    `${program.replace("2", "1")}# ${sign("fix")}\n`,
    true,
  );
  const now = await whole();
  const [layer] = now.layers;
  if (layer) await sayIntention(services, now, byTeacher(now), layer.key, sign("intention"));
  // Nor is anything of an assignment: its model runs beside the students' programs, its checks are compared outside.
  const assignment = await insertAssignment(database.query, course, { title: sign("assignment") });
  const model = `x = input()\nprint(x, "${sign("model")}")\n`;
  await insertModel(database.query, assignment, "python", filesOf("python", "model", model));
  const kept = {
    name: sign("check"),
    purpose: sign("purpose"),
    input: `${sign("check input")}\n`,
    kind: "normal" as const,
  };
  await insertCheck(database.query, { assignment }, { ...kept, expected: sign("intended") });
  await setAssignmentOfCases(database.query, [key], assignment);
  const asked = await findAssignment(database, assignment);
  if (asked) await proveModels(services, asked);
  await judgeOfAssignment(services, key);
  for (const outcome of await Promise.all(Array.from({ length: 4 }, () => search("python"))))
    expect(consoleText(outcome.console, ["out", "err"])).toMatch(nothing);
});
