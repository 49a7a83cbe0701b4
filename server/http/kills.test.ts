import { type ChildProcess, spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout } from "node:timers/promises";
import { afterAll, beforeAll, expect, test } from "vitest";
import { deckMended, testExercise } from "../../core/exercises/testExercise.ts";
import { openDatabase } from "../database/database.ts";
import { addCourse, addStudents, listStudents } from "../people/courseStore.ts";
import { productFolder } from "../productFolder.ts";
import { addSheet, findSheet, setSheet } from "../sheets/sheetStore.ts";

/** Servers that are killed; `npm run test:long` does the many. */
const kills = process.env.BENT_NAIL_LONG ? 500 : 7;
/** Students that hand in between two kills. */
const perRound = 2;

let folder = "";
let code = "";
let sheet = "";
let students: Array<{ label: string; code: string }> = [];

const mended = deckMended;
const content = testExercise({
  tasks: [
    { key: "point", kind: "point", marks: 1 },
    { key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 },
  ],
});

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), "bent-nail-"));
  const database = await openDatabase(join(folder, "database"));
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(
    database,
    course,
    Array.from({ length: kills * perRound }, (_, index) => `S-${index + 1}`),
  );
  students = (await listStudents(database, course)).map((student) => ({
    label: student.label,
    code: student.personal_code,
  }));
  sheet = await addSheet(database, course, "Deck loads");
  await setSheet(database, sheet, { title: "Deck loads", exercises: [{ key: "e", title: "Deck", level: 1, content }] });
  code = (await findSheet(database, sheet))?.code ?? "";
  await database.close();
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

function start(): Promise<{ child: ChildProcess; base: string }> {
  const child = spawn(join(productFolder, "bin/bent-nail"), ["serve", "--port", "0"], {
    env: { ...process.env, BENT_NAIL_DATA: folder, BENT_NAIL_LOG: "silent" },
  });
  return new Promise((resolve, reject) => {
    let said = "";
    for (const stream of [child.stdout, child.stderr])
      stream.on("data", (part) => {
        said += String(part);
        const base = /http:\/\/[^/\s]+/.exec(said)?.[0];
        if (base) resolve({ child, base });
      });
    child.once("exit", () => reject(new Error(said)));
  });
}

/** What one student was told is saved or handed in. */
type Confirmed = { label: string; answer: number | null; handedIn: boolean };

/** A student who enters, saves answers one after another, and hands in; ends where the server is gone. */
async function sit(base: string, student: { label: string; code: string }, confirmed: Confirmed): Promise<void> {
  const post = (path: string, body: RequestInit["body"], headers: Record<string, string>) =>
    fetch(`${base}${path}`, { method: "POST", redirect: "manual", body, headers });
  const entered = await post(
    `/s/${code}`,
    new URLSearchParams({ intent: "enter", label: student.label, personalCode: student.code }),
    {},
  );
  const Cookie = (entered.headers.get("set-cookie") ?? "").split(";")[0] ?? "";
  for (let revision = 1; revision <= 6; revision += 1) {
    const own = { base: revision - 1, writer: "page", count: revision };
    const answer = JSON.stringify({ task: "mend", ...own, content: { text: `${mended}# ${revision}\n` } });
    const saved = await post(`/s/${code}/save`, answer, { Cookie, "Content-Type": "application/json" });
    if (saved.ok && (await saved.json()).result === "saved") confirmed.answer = revision;
  }
  // The answer comes when the marking is over; that it was handed in is confirmed by the page.
  const handingIn = post(`/s/${code}`, new URLSearchParams({ intent: "hand in" }), { Cookie });
  handingIn.catch(() => undefined);
  for (;;) {
    const page = await (await fetch(`${base}/s/${code}`, { headers: { Cookie } })).text();
    if (page.includes("Handed in.")) break;
    await setTimeout(5);
  }
  confirmed.handedIn = true;
  await handingIn;
}

type Row = { label: string; handed_in: boolean; content: Uint8Array | null; marks: number };

/** Sittings with what is kept of them, once one more server has marked what waited, however long that takes here, and has ended as it should. */
async function afterAnotherStart(): Promise<Row[]> {
  const { child, base } = await start();
  for (let looks = 0; looks < 600; looks += 1) {
    const book = await fetch(`${base}/sheets/${sheet}/marks`);
    expect(book.ok).toBe(true);
    if (!(await book.text()).includes("being marked")) break;
    await setTimeout(200);
  }
  await new Promise((resolve) => {
    child.once("exit", resolve);
    child.kill("SIGTERM");
  });
  const database = await openDatabase(join(folder, "database"));
  const rows = (await database.query(
    `select s.label, i.handed_in_at is not null as handed_in, a.content, (select count(*)::int from mark m where m.sitting = i.key) as marks
     from student s join sitting i on i.student = s.key left join answer a on a.sitting = i.key and a.task = 'mend'`,
  )) as Row[];
  await database.close();
  return rows;
}

test(`${kills} servers are killed at work, marking among it: nothing confirmed is lost, nothing stays unmarked`, {
  timeout: 600_000 + kills * 8000,
}, async () => {
  const all: Confirmed[] = [];
  /** What it takes two students here from entering to their marks, in milliseconds: on a slow machine all comes later. */
  let whole = 0;
  for (let kill = 0; kill < kills; kill += 1) {
    const { child, base } = await start();
    await fetch(`${base}/s/${code}`);
    const round = students.slice(kill * perRound, (kill + 1) * perRound);
    const sitting = round.map((student) => {
      const confirmed: Confirmed = { label: student.label, answer: null, handedIn: false };
      all.push(confirmed);
      return sit(base, student, confirmed).catch(() => undefined);
    });
    const gone = new Promise((resolve) => child.once("exit", resolve));
    const begun = performance.now();
    // The first ones come to their end; then at another moment each time: while they save, hand in, are marked, or a little after.
    if (kill === 0) await Promise.all(sitting).then(() => (whole = performance.now() - begun));
    else await setTimeout(whole * 1.1 * ((kill * 0.618) % 1));
    child.kill("SIGKILL");
    await gone;
    await Promise.all(sitting);
  }
  const rows = await afterAnotherStart();
  const found = new Map(rows.map((row) => [row.label, row]));
  for (const confirmed of all) {
    const row = found.get(confirmed.label);
    if (confirmed.answer !== null)
      expect(Number(/# (\d)/.exec(Buffer.from(row?.content ?? []).toString())?.[1] ?? 0)).toBeGreaterThanOrEqual(
        confirmed.answer,
      );
    if (confirmed.handedIn) expect(row?.handed_in).toBe(true);
  }
  expect(all.filter(({ answer }) => answer !== null).length).toBeGreaterThan(kills / 4);
  const handedIn = rows.filter((row) => row.handed_in);
  expect(handedIn.length).toBeGreaterThan(kills / 4);
  expect(handedIn.filter((row) => row.marks !== 2).map((row) => row.label)).toEqual([]);
});
