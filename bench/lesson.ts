import { type ChildProcess, spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout } from "node:timers/promises";
import * as z from "zod";
import { retryIn } from "../app/sitting/outbox.ts";
import { deckMended, testExercise } from "../core/exercises/testExercise.ts";
import { openDatabase } from "../server/database/database.ts";
import { addCourse, addStudents, listStudents } from "../server/people/courseStore.ts";
import { productFolder } from "../server/productFolder.ts";
import { addSheet, findSheet, setSheet } from "../server/sheets/sheetStore.ts";
import { listAnswers, listSittings } from "../server/sittings/sittingStore.ts";
import type { Measure } from "./measure.ts";
import { percentile } from "./yardsticks.ts";

/** Length of the lesson; BENT_NAIL_LESSON_SECONDS for a shorter one. */
const seconds = Number(process.env.BENT_NAIL_LESSON_SECONDS ?? "300");
const [honest, kills, port] = [40, 5, 4397];
const [saveEvery, runEvery] = [5000, 30_000];
/** Milliseconds in which whoever comes in first lets the server load what it needs; not counted. */
const coming = 10_000;

const java = (extra: string) =>
  `public class Deck {\n    public static void main(String[] args) {\n        int deck = 4;\n        System.out.println("Deck load: " + (deck + 3));\n    }\n}\n// ${extra}\n`;
const endless = "public class Deck { public static void main(String[] a) { while (true) { } } }\n";
const hoarder =
  "import java.util.*; public class Deck { public static void main(String[] a) { List<int[]> all = new ArrayList<>(); while (true) all.add(new int[1 << 20]); } }\n";

const replySchema = z.looseObject({
  ok: z.boolean().optional(),
  message: z.string().optional(),
  result: z.string().optional(),
  revision: z.number().optional(),
  console: z.looseObject({ pieces: z.array(z.looseObject({ text: z.string() })) }).optional(),
});

type Room = {
  base: string;
  folder: string;
  sheet: string;
  code: string;
  students: Array<{ label: string; code: string }>;
  start: () => Promise<void>;
  end: (signal: "SIGTERM" | "SIGKILL") => Promise<void>;
};

/** A real server in a process of its own, which can be killed and started again, with a sheet of two exercises. */
async function openRoom(count: number): Promise<Room> {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-lesson-"));
  const database = await openDatabase(join(folder, "database"));
  const course = await addCourse(database, "Kittiwake Crossing", "python");
  await addStudents(
    database,
    course,
    Array.from({ length: count }, (_, index) => `S-${index + 1}`),
  );
  const students = (await listStudents(database, course)).map(({ label, personal_code: code }) => ({ label, code }));
  const mend = (key: string) => ({ key, kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 0 });
  const sheet = await addSheet(database, course, "Deck loads");
  const inJava = { language: "java", fileName: "Deck.java", program: java("faulty"), mended: java("mended") };
  await setSheet(database, sheet, {
    title: "Deck loads",
    exercises: [
      { key: "p", title: "Deck", level: 1, content: testExercise({ tasks: [mend("python")] }) },
      { key: "j", title: "Deck in Java", level: 1, content: testExercise({ ...inJava, tasks: [mend("java")] }) },
    ],
  });
  const code = (await findSheet(database, sheet))?.code ?? "";
  await database.close();
  let child: ChildProcess | null = null;
  const start = () =>
    new Promise<void>((resolve, reject) => {
      const started = spawn(join(productFolder, "bin/bent-nail"), ["serve", "--port", String(port)], {
        env: { ...process.env, BENT_NAIL_DATA: folder, BENT_NAIL_LOG: "silent" },
      });
      child = started;
      started.stdout.on("data", (part) => String(part).includes("Bent Nail is at") && resolve());
      started.stderr.on("data", (part) => reject(new Error(String(part))));
    });
  const end = (signal: "SIGTERM" | "SIGKILL") =>
    new Promise<void>((resolve) => {
      if (!child || child.exitCode !== null) return resolve();
      child.once("exit", () => resolve());
      child.kill(signal);
    });
  await start();
  return { ...{ base: `http://127.0.0.1:${port}`, folder, sheet, code, students }, start, end };
}

/** A student's page: what is not answered is asked again, as the page does it, until it is. */
async function enter(room: Room, { label, code }: { label: string; code: string }) {
  const address = `${room.base}/s/${room.code}`;
  const body = () => new URLSearchParams({ intent: "enter", label, personalCode: code });
  const again = async (ask: () => Promise<Response>): Promise<{ response: Response; time: number }> => {
    for (;;) {
      const began = performance.now();
      try {
        const response = await ask();
        return { response, time: performance.now() - began };
      } catch {
        await setTimeout(retryIn(Math.random()));
      }
    }
  };
  const { response } = await again(() => fetch(address, { method: "POST", redirect: "manual", body: body() }));
  const headers = {
    Cookie: (response.headers.get("set-cookie") ?? "").split(";")[0] ?? "",
    "Content-Type": "application/json",
  };
  const ask = async (path: string, json: unknown) => {
    const { response: answer, time } = await again(async () => {
      const asked = await fetch(`${address}/${path}`, { method: "POST", headers, body: JSON.stringify(json) });
      if (asked.status >= 500) throw new Error(String(asked.status));
      return new Response(await asked.text());
    });
    return { time, reply: replySchema.parse(await answer.json()) };
  };
  let [base, count, last] = [0, 0, ""];
  return {
    label,
    last: () => last,
    save: async () => {
      count += 1;
      last = `${deckMended}# ${label}, answer ${count}\n`;
      const sent = { task: "python", base, writer: label, count, content: { text: last }, typedAt: Date.now() };
      const { time, reply } = await ask("save", sent);
      if (reply.result !== "saved") throw new Error(`not saved: ${JSON.stringify(reply)}`);
      base = reply.revision ?? base;
      return time;
    },
    /** A run in the student's own browser: the server is asked before it and told after it. */
    runHere: async () => {
      await ask("try", { exercise: "p", text: last, input: "", here: "begins" });
      const here = {
        console: { pieces: [{ kind: "out", text: "Deck load: 7\n" }], cut: 0 },
        stoppedBy: "none",
        messages: "",
      };
      return (await ask("try", { exercise: "p", text: last, input: "", here })).time;
    },
    runJava: (text: string) => ask("try", { exercise: "j", text, input: "" }),
  };
}

/**
 * A lesson of forty students with three who do harm, in which the server is killed five times: how long saving and
 * running take, whether anything is lost or comes to another student, and whether one who runs on and on delays others.
 */
export async function benchLesson(): Promise<Measure[]> {
  const room = await openRoom(honest + 4);
  const from = performance.now() + coming;
  const until = from + seconds * 1000;
  const [saves, javas, heres]: number[][] = [[], [], []];
  let wrong = 0;
  const note = (times: number[] | undefined, time: number) => performance.now() > from && times?.push(time);
  const students = await Promise.all(room.students.slice(0, honest).map((each) => enter(room, each)));
  const work = students.map(async (student) => {
    await setTimeout(Math.random() * saveEvery);
    let next = performance.now() + Math.random() * runEvery;
    while (performance.now() < until) {
      note(saves, await student.save());
      if (performance.now() > next) {
        next += runEvery;
        note(heres, await student.runHere());
        const { time, reply } = await student.runJava(java(student.label));
        if (reply.ok) note(javas, time);
        const said = reply.console?.pieces.map(({ text }) => text).join("") ?? "";
        if (reply.ok && said !== "Deck load: 7\n") wrong += 1;
      }
      await setTimeout(saveEvery * (0.8 + Math.random() * 0.4));
    }
  });
  const harmful = [endless, hoarder, java("over and over")].map(async (text, at) => {
    const student = await enter(room, room.students[honest + at] ?? { label: "", code: "" });
    while (performance.now() < until) {
      await student.runJava(text);
      await setTimeout(20);
    }
  });
  const killing = (async () => {
    for (let kill = 1; kill <= kills; kill++) {
      await setTimeout(Math.max(0, from + (kill * seconds * 1000) / (kills + 1) - performance.now()));
      await room.end("SIGKILL");
      await room.start();
    }
  })();
  await Promise.all([...work, ...harmful, killing]);
  await room.end("SIGTERM");
  const database = await openDatabase(join(room.folder, "database"));
  const sittings = await listSittings(database, room.sheet);
  let [lost, mixed] = [0, 0];
  for (const student of students) {
    const sitting = sittings.find(({ label }) => label === student.label);
    const answers = sitting ? await listAnswers(database, sitting.key) : [];
    const text = JSON.stringify(answers.find(({ task }) => task === "python")?.content ?? "");
    if (text !== JSON.stringify({ text: student.last() })) lost += 1;
    if (!text.includes(`# ${student.label},`)) mixed += 1;
  }
  await database.close();
  rmSync(room.folder, { recursive: true, force: true });
  const told = (times: number[] = []) =>
    `${times.length}, p50 ${Math.round(percentile(times, 0.5))} ms, p95 ${Math.round(percentile(times, 0.95))} ms, longest ${Math.round(Math.max(...times))} ms`;
  console.log(
    `${honest} students, ${seconds} s, ${kills} kills: saves ${told(saves)}; runs of Java ${told(javas)}; told of runs in browsers ${told(heres)}; ${wrong} runs gave what was another’s`,
  );
  const per = (times: number[] | undefined, bound: number) => percentile(times ?? [], 0.95) / bound;
  return [
    { work: "lesson: save, p95", against: "100 ms", value: per(saves, 100), unit: "x", atMost: 1 },
    { work: "lesson: run of Java on the server, p95", against: "5 s", value: per(javas, 5000), unit: "x", atMost: 1 },
    { work: "lesson: answers lost over five kills", against: "none", value: lost, unit: "rows", atMost: 0 },
    { work: "lesson: answers or runs mixed up", against: "none", value: mixed + wrong, unit: "rows", atMost: 0 },
  ];
}
