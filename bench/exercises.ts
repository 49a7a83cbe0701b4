import { spawnSync } from "node:child_process";
import { traceTaskSchema } from "../core/exercises/traceTask.ts";
import { findLanguage } from "../core/languages/languages.ts";
import { checksOfProgram } from "../server/exercises/checksOfProgram.ts";
import { exerciseOfPrograms } from "../server/exercises/exerciseOfPrograms.ts";
import { markAnswer } from "../server/exercises/markAnswers.ts";
import { bill } from "../server/exercises/markedAnswers/bill.ts";
import { plantFaults } from "../server/exercises/plantFaults.ts";
import { createToolchains } from "../server/toolchains/toolchains.ts";
import { rightPrograms } from "./collection/programs.ts";
import type { Measure } from "./measure.ts";

const sittings = 40;
/** The tasks of a sitting: the kinds of an exercise, and its mending twice. */
const kinds = ["classify", "point", "predict", "trace", "mend", "mend"] as const;

const secondsOf = async (work: () => Promise<unknown>): Promise<number> => {
  const begun = performance.now();
  await work();
  return (performance.now() - begun) / 1000;
};

/** Marks forty sittings of six tasks, two at once, and plants ten faults in a program, against plain runs of CPython. */
export async function benchExercises(): Promise<Measure[]> {
  const toolchains = createToolchains();
  const services = { toolchains };
  try {
    const python = findLanguage("python");
    const exercise = bill;
    if (!python) throw new Error("nothing to mark");
    const made = await exerciseOfPrograms(services, {
      ...{
        language: python,
        fileName: exercise.fileName,
        intro: "",
        program: exercise.program,
        mended: exercise.mended,
      },
      checks: exercise.checks.map((check) => ({ ...check, kind: "normal", ignorePrompts: false, files: {} })),
      tasks: Object.entries(exercise.marks).map(([kind, marks]) => ({ kind, marks })),
    });
    const tasks = made.content.tasks.map((task) => {
      const table = traceTaskSchema.safeParse(task);
      return table.success ? { ...table.data, linesGiven: false, given: [] } : task;
    });
    const content = { ...made.content, tasks };
    const work = Array.from({ length: sittings }, (_, sitting) =>
      kinds.map((kind, place) => {
        const own = exercise.answers.filter((answer) => answer.task === kind);
        const chosen = own[(sitting + place * 7) % own.length];
        if (!chosen) throw new Error(kind);
        // Each mended program is another text, so that none is marked by what was run before.
        const answer =
          kind === "mend"
            ? { text: `${(chosen.answer as { text: string }).text}# ${sitting} ${place}\n` }
            : chosen.answer;
        return { id: sitting, task: kind, answer, format: 1 as const };
      }),
    ).flat();
    let next = 0;
    const worker = async () => {
      for (let line = work[next++]; line; line = work[next++]) await markAnswer(services, content, line);
    };
    const marking = await secondsOf(() => Promise.all([worker(), worker()]));
    const plain = await secondsOf(async () => {
      for (let run = 0; run < 24; run++) spawnSync("python3", ["-c", exercise.mended]);
    });
    const one = plain / 24;

    const program = rightPrograms
      .filter((each) => each.language === "python")
      .sort((one, other) => other.text.length - one.text.length)[0];
    if (!program) throw new Error("nothing to plant in");
    const checks = await checksOfProgram(services, python, "deck.py", program.text);
    let planted = 0;
    const planting = await secondsOf(async () => {
      const request = { language: python, fileName: "deck.py", program: program.text, checks, count: 10, seconds: 30 };
      planted = (await plantFaults(toolchains, request)).planted.length;
    });
    if (process.env.BENT_NAIL_BENCH_TELL)
      console.log(
        `${work.length} tasks in ${marking.toFixed(1)} s; ${planted} planted in ${planting.toFixed(1)} s; a run ${(one * 1000).toFixed(0)} ms`,
      );
    return [
      {
        ...{ work: `${sittings} sittings marked: ${work.length} tasks, 80 mended programs`, unit: "x", atMost: 2 },
        ...{ against: "a plain run of CPython for each task", value: marking / (one * work.length) },
      },
      {
        ...{
          work: `${planted} faults planted and proven in ${program.text.split("\n").length} lines`,
          unit: "x",
          atMost: 150,
        },
        ...{ against: "ten plain runs of CPython", value: planting / (one * 10) },
      },
    ];
  } finally {
    await toolchains.close();
  }
}
