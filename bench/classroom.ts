import { spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout } from "node:timers/promises";
import * as z from "zod";
import { deckMended, deckProgram, testExercise } from "../core/exercises/testExercise.ts";
import { findFirstAssignment, insertAssignment, setHandIn } from "../server/assignments/assignmentStore.ts";
import { openDatabase } from "../server/database/database.ts";
import { addCourse, addStudents, listStudents } from "../server/people/courseStore.ts";
import { productFolder } from "../server/productFolder.ts";
import { addSheet, findSheet, setSheet } from "../server/sheets/sheetStore.ts";
import type { Measure } from "./measure.ts";
import { percentile } from "./yardsticks.ts";

const seconds = 60;
/**
 * The first seconds, in which the class comes in and the server loads what it needs, are not counted; in milliseconds.
 */
const coming = 5000;
const endless = "while True:\n    pass\n";
const bomb = "import os\nwhile True:\n    os.fork()\n";
const hoarder = "deck = []\nwhile True:\n    deck.append(bytearray(1 << 20))\n";

type Room = {
  base: string;
  sheet: string;
  handIn: string;
  students: Array<{ label: string; code: string }>;
  close: () => Promise<void>;
};

/** A real server in a process of its own, with a sheet of one exercise that a class of `count` may sit. */
async function openRoom(count: number): Promise<Room> {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
  const database = await openDatabase(join(folder, "database"));
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(
    database,
    course,
    Array.from({ length: count }, (_, index) => `S-${index + 1}`),
  );
  await setHandIn(database, await insertAssignment(database.query, course, { title: "Deck loads" }), true);
  const students = (await listStudents(database, course)).map((student) => ({
    label: student.label,
    code: student.personal_code,
  }));
  const tasks = [{ key: "mend", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 }];
  const content = testExercise({ tasks });
  const sheet = await addSheet(database, course, "Deck loads");
  await setSheet(database, sheet, { title: "Deck loads", exercises: [{ key: "e", title: "Deck", level: 1, content }] });
  const code = (await findSheet(database, sheet))?.code ?? "";
  const handIn = (await findFirstAssignment(database, course))?.hand_in_code ?? "";
  await database.close();
  const child = spawn(join(productFolder, "bin/bent-nail"), ["serve", "--port", "0"], {
    env: { ...process.env, BENT_NAIL_DATA: folder, BENT_NAIL_LOG: "silent" },
  });
  const base = await new Promise<string>((resolve, reject) => {
    let said = "";
    child.stdout.on("data", (part) => {
      said += String(part);
      const found = /http:\/\/[^/\s]+/.exec(said)?.[0];
      if (found) resolve(found);
    });
    child.stderr.on("data", (part) => reject(new Error(String(part))));
  });
  const close = async () => {
    const gone = new Promise((resolve) => child.once("exit", resolve));
    child.kill("SIGTERM");
    await gone;
    rmSync(folder, { recursive: true, force: true });
  };
  return { base, sheet: code, handIn, students, close };
}

const replySchema = z.looseObject({ result: z.string().optional(), revision: z.number().optional() });

/** What a student does; `until` is when the lesson ends, by the monotonic clock. */
type Student = { save: () => Promise<number>; attempt: (text: string) => Promise<{ time: number; ended: string }> };

async function enter(room: Room, { label, code }: { label: string; code: string }): Promise<Student> {
  const address = `${room.base}/s/${room.sheet}`;
  const entered = await fetch(address, {
    method: "POST",
    redirect: "manual",
    body: new URLSearchParams({ intent: "enter", label, personalCode: code }),
  });
  const headers = {
    Cookie: (entered.headers.get("set-cookie") ?? "").split(";")[0] ?? "",
    "Content-Type": "application/json",
  };
  // Each lesson is a page of its own; where the lesson before had got to, its first answer tells.
  const writer = `lesson ${performance.now()}`;
  let base = 0;
  let count = 0;
  const timed = async (path: string, body: unknown) => {
    const began = performance.now();
    const response = await fetch(`${address}/${path}`, { method: "POST", headers, body: JSON.stringify(body) });
    const reply = replySchema.parse(await response.json());
    return { time: performance.now() - began, reply };
  };
  return {
    save: async () => {
      count += 1;
      const content = { text: `${deckMended}# ${count}\n`.repeat(10) };
      const sent = { task: "mend", writer, count, content, typedAt: Date.now() };
      let { time, reply } = await timed("save", { ...sent, base });
      if (count === 1 && reply.result === "newer" && reply.revision)
        ({ time, reply } = await timed("save", { ...sent, base: reply.revision }));
      if (reply.result !== "saved") throw new Error(`not saved: ${JSON.stringify(reply)}`);
      base = reply.revision ?? 0;
      return time;
    },
    attempt: async (text) => {
      const { time, reply } = await timed("try", { exercise: "e", text, input: "" });
      return { time, ended: JSON.stringify(reply).slice(0, 200) };
    },
  };
}

/**
 * A lesson: some students save and try, others do something else over and over. Meanwhile a visitor asks for a file that
 * never changes: what that takes is the yardstick, since it waits for the same machine.
 */
async function lesson(
  room: Room,
  honest: number,
  others: ReadonlyArray<(student: Student, room: Room, index: number) => Promise<unknown>>,
) {
  const from = performance.now() + coming;
  const until = from + seconds * 1000;
  const saves: number[] = [];
  const tries: number[] = [];
  const plain: number[] = [];
  const visitor = async () => {
    while (performance.now() < until) {
      const began = performance.now();
      await (await fetch(`${room.base}/nail.svg`)).text();
      if (performance.now() > from) plain.push(performance.now() - began);
      await setTimeout(100);
    }
  };
  const work = room.students.slice(0, honest).map(async (each) => {
    const student = await enter(room, each);
    await setTimeout(Math.random() * 2000);
    while (performance.now() < until) {
      const time = await student.save();
      if (performance.now() > from) saves.push(time);
      if (Math.random() < 0.2) tries.push((await student.attempt(`${deckMended}# ${Math.random()}\n`)).time);
      await setTimeout(800 + Math.random() * 1400);
    }
  });
  const disturbing = others.map(async (act, index) => {
    const each = room.students[honest + index];
    if (!each) return;
    const student = await enter(room, each);
    while (performance.now() < until) {
      await act(student, room, index).catch(() => undefined);
      await setTimeout(20);
    }
  });
  await Promise.all([...work, ...disturbing, visitor()]);
  return { saves, tries, plain };
}

/** A room of forty with three who do harm, and one of twenty among twenty whose programs do not end. */
export async function benchClassroom(): Promise<Measure[]> {
  const room = await openRoom(43);
  const floods = (_: Student, { base, handIn, students }: Room) =>
    fetch(`${base}/api/hand-in/${handIn}`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({
        student: students.at(-1)?.label,
        code: students.at(-1)?.code,
        program: deckProgram,
        intent: "x",
        fileName: `${Math.random()}.py`,
        output: "NameError: name 'deck' is not defined\n".repeat(10_000),
      }),
    }).then((response) => response.text());
  const harmful = [(student: Student) => student.attempt(bomb), (student: Student) => student.attempt(hoarder), floods];
  const quiet = await lesson(room, 40, harmful);
  await room.close();
  const other = await openRoom(40);
  const busy = await lesson(
    other,
    20,
    Array.from({ length: 20 }, (_, index) => (student: Student) => student.attempt(`${endless}# ${index}\n`)),
  );
  await other.close();
  const ms = (value: number) => `${Math.round(value)} ms`;
  const told = (times: number[]) =>
    `${times.length}, p50 ${ms(percentile(times, 0.5))} p95 ${ms(percentile(times, 0.95))} longest ${ms(Math.max(...times))}`;
  for (const [words, { saves, tries, plain }] of [
    [`40 students and 3 who do harm, ${seconds} s`, quiet],
    ["20 among 20 endless programs", busy],
  ] as const)
    console.log(`${words}: saves ${told(saves)}; tries ${told(tries)}; a plain file ${told(plain)}`);
  return [
    {
      work: "save, 40 students with 3 who do harm, p95",
      against: "a plain file meanwhile, p95",
      value: percentile(quiet.saves, 0.95) / percentile(quiet.plain, 0.95),
      unit: "x",
      atMost: 10,
    },
    {
      work: "longest save beside hand-ins of 400 KB",
      against: "longest wait for a plain file meanwhile",
      value: Math.max(...quiet.saves) / Math.max(...quiet.plain),
      unit: "x",
      atMost: 10,
    },
    {
      work: "try among 20 endless programs, p50",
      against: "try beside 3 who do harm, p50",
      value: percentile(busy.tries, 0.5) / percentile(quiet.tries, 0.5),
      unit: "x",
      atMost: 20,
    },
  ];
}
