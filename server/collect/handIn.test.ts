import { afterAll, beforeAll, expect, test } from "vitest";
import { type HandIn, handInSchema } from "../../core/collecting/handIn.ts";
import {
  type Assignment,
  findAssignmentByHandIn,
  findFirstAssignment,
  insertAssignment,
  setHandIn,
} from "../assignments/assignmentStore.ts";
import { findCase } from "../cases/caseStore.ts";
import { addCourse, addStudents, type Course, findCourse, listStudents } from "../people/courseStore.ts";
import { openTestServices } from "../testServices.ts";
import { addToHandIn, handIn, receiptView } from "./handIn.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(async () => {
  // What was handed in is judged behind the page.
  await services.queue.settled();
  await services.close();
});

async function openCourse(
  labels: readonly string[] = ["Tern"],
  statement = "",
): Promise<{
  course: { course: Course; assignment: Assignment };
  code: string;
}> {
  const key = await addCourse(services.database, `course ${Math.random()}`, "python");
  await addStudents(services.database, key, labels);
  const asked = { title: "Cars", statement };
  await setHandIn(services.database, await insertAssignment(services.database.query, key, asked), true);
  const [course, assignment] = await Promise.all([
    findCourse(services.database, key),
    findFirstAssignment(services.database, key),
  ]);
  if (!course || !assignment) throw new Error("no course");
  return { course: { course, assignment }, code: (await listStudents(services.database, key))[0]?.personal_code ?? "" };
}
const given = (fields: Partial<HandIn>): HandIn => handInSchema.parse(fields);
const page = { address: "page", questions: true };
const program = Buffer.from("cars = 3\nprint(crs)\n");

test("nobody is asked for a purpose that the assignment states", async () => {
  const { course, code } = await openCourse(["Tern"], "Count the cars.");
  const who = { student: "Tern", code };
  expect(await handIn(services, course, given(who), program, page)).toEqual({
    ok: false,
    problems: { instead: expect.any(String) },
  });
  const taken = await handIn(services, course, given({ ...who, instead: "it stopped" }), program, page);
  expect(taken).toMatchObject({ ok: true, again: false });
});

test("the three questions come first; whoever cannot say after reading again is taken all the same", async () => {
  const { course, code } = await openCourse();
  const who = { student: "Tern", code };
  expect(await handIn(services, course, given(who), program, page)).toMatchObject({
    ok: false,
    problems: { intent: expect.stringContaining("task once more"), instead: expect.any(String) },
  });
  expect(
    await handIn(services, course, given({ ...who, intent: "count" }), new Uint8Array(), {
      address: "terminal",
      questions: false,
    }),
  ).toMatchObject({
    problems: { program: expect.any(String) },
  });
  const taken = await handIn(
    services,
    course,
    given({ ...who, cannotSay: true, instead: "it stopped", fileName: "../cars.py" }),
    program,
    page,
  );
  if (!taken.ok) throw new Error("not taken");
  const found = await receiptView(services, taken.receipt.toLowerCase());
  expect(found?.view).toMatchObject({
    instead: "it stopped",
    versions: [{ name: ".._cars.py", text: "cars = 3\nprint(crs)\n" }],
  });
  expect(JSON.stringify(found?.view)).not.toMatch(/verdict|syntax|runtime/);
});

test("the same file again is the next try under the same number; another file is another case", async () => {
  const { course, code } = await openCourse();
  const terminal = { address: "terminal", questions: false };
  const first = await handIn(
    services,
    course,
    given({ student: "Tern", code, fileName: "cars.py", output: "NameError: name 'crs' is not defined" }),
    program,
    terminal,
  );
  const second = await handIn(
    services,
    course,
    given({ student: "Tern", code, fileName: "cars_v2.py" }),
    Buffer.from("cars = 3\nprint(cars)\n"),
    terminal,
  );
  const other = await handIn(
    services,
    course,
    given({ student: "Tern", code, fileName: "tides.py" }),
    program,
    terminal,
  );
  if (!first.ok || !second.ok || !other.ok) throw new Error("not taken");
  expect(second).toEqual({ ok: true, receipt: first.receipt, again: true });
  expect(other.receipt).not.toBe(first.receipt);
  const found = await receiptView(services, first.receipt);
  expect(found?.view.versions.map((version) => [version.number, version.outputs.length])).toEqual([
    [1, 1],
    [2, 0],
  ]);
  const whole = await findCase(services.database, found?.key ?? "");
  expect(whole?.versions.find((version) => version.key === whole.current_version)?.number).toBe(2);
});

test("a wrong code says no more than that, guessing is slowed down, a closed course takes nothing", async () => {
  const { course, code } = await openCourse();
  const wrong = async () =>
    handIn(services, course, given({ student: "Tern", code: "AAAA-AA" }), program, {
      address: "1.2.3.4",
      questions: false,
    });
  expect(await wrong()).toMatchObject({ problems: { "": expect.stringContaining("do not belong together") } });
  for (let tries = 0; tries < 10; tries++) await wrong();
  expect(await wrong()).toMatchObject({ problems: { "": expect.stringContaining("Too many wrong codes") } });
  // Blanks around the label are no way past it, and whoever has the right code elsewhere is let in.
  const from = (student: string, address: string) =>
    handIn(services, course, given({ student, code, intent: "count" }), program, { address, questions: false });
  expect(await from("  Tern ", "1.2.3.4")).toMatchObject({
    problems: { "": expect.stringContaining("Too many wrong codes") },
  });
  expect(await from("Tern", "1.2.3.5")).toMatchObject({ ok: true });
  await setHandIn(services.database, course.assignment.key, false);
  const closed = await findAssignmentByHandIn(services.database, course.assignment.hand_in_code ?? "");
  if (!closed) throw new Error("no assignment");
  const to = { course: course.course, assignment: closed };
  expect(await handIn(services, to, given({ student: "Tern", code }), program, page)).toMatchObject({
    problems: { "": expect.stringContaining("takes no programs") },
  });
  expect(await receiptView(services, "NONE-0000")).toBeNull();
});

test("thirty hand-ins in ten minutes are enough, however the label is written", async () => {
  const { course, code } = await openCourse();
  const spellings = ["Tern", " Tern", "Tern ", "  Tern  "];
  const results: boolean[] = [];
  for (let index = 0; index < 34; index += 1) {
    const who = given({ student: spellings[index % 4] ?? "", code, intent: "count", fileName: `cars${index}.py` });
    results.push((await handIn(services, course, who, program, { address: `10.0.0.${index}`, questions: false })).ok);
  }
  expect([results.filter((ok) => ok).length, results.slice(30)]).toEqual([30, [false, false, false, false]]);
});

test.each([
  ["output", { output: "x".repeat(400_001) }, program, "output"],
  ["program", {}, Buffer.alloc(500_001, "x"), "program"],
] as const)(
  "an %s that is too long is refused with words, and the rest of the form is not touched",
  async (_, more, text, field) => {
    const { course, code } = await openCourse();
    const taken = await handIn(
      services,
      course,
      given({ student: "Tern", code, intent: "count", instead: "stops", ...more }),
      text,
      page,
    );
    expect(taken).toMatchObject({ ok: false, problems: { [field]: expect.stringContaining("longer than") } });
  },
);

test("others are served while six hand in as much as may be", async () => {
  const { course, code } = await openCourse();
  const output = 'Traceback (most recent call last):\n  File "cars.py", line 2, in <module>\n'
    .repeat(6000)
    .slice(0, 400_000);
  let done = 0;
  const all = Array.from({ length: 6 }, async (_, index) => {
    expect(
      await handIn(
        services,
        course,
        given({ student: "Tern", code, intent: "count", instead: "stops", output, fileName: `big${index}.py` }),
        program,
        page,
      ),
    ).toMatchObject({ ok: true });
    done += 1;
  });
  // Whenever a save comes, it waits for one of them at the most.
  const waitedFor: number[] = [];
  while (done < 6) {
    const before = done;
    await services.database.query("select 1");
    waitedFor.push(done - before);
  }
  await Promise.all(all);
  expect(Math.max(...waitedFor)).toBeLessThanOrEqual(1);
});

test("words and another output are added; broken text is kept", async () => {
  const { course, code } = await openCourse();
  const taken = await handIn(services, course, given({ student: "Tern", code }), program, {
    address: "terminal",
    questions: false,
  });
  const found = taken.ok ? await receiptView(services, taken.receipt) : null;
  if (!found) throw new Error("not taken");
  expect(await addToHandIn(services, found.key, { words: " ", output: "" })).toContain("nothing in it");
  expect(
    await addToHandIn(services, found.key, { words: "line 2\0", output: "NameError: name 'crs' is not defined" }),
  ).toBeNull();
  expect(await findCase(services.database, found.key)).toMatchObject({
    additions: [{ content: "line 2\0" }],
    outputs: [{ origin: "added later" }],
  });
});
