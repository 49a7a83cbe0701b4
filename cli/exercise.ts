import { createReadStream } from "node:fs";
import { basename } from "node:path";
import { createInterface } from "node:readline";
import { type Command, InvalidArgumentError } from "commander";
import { taskKinds } from "../core/exercises/taskKinds.ts";
import { traceTaskSchema } from "../core/exercises/traceTask.ts";
import { answerLineSchema, type ExerciseFile, exerciseFormat, readExerciseFile } from "../core/formats/exerciseFile.ts";
import { exerciseOfPrograms } from "../server/exercises/exerciseOfPrograms.ts";
import type { ShownOfRuns } from "../server/exercises/givenOfRuns.ts";
import { markAnswer } from "../server/exercises/markAnswers.ts";
import { twinOf } from "../server/exercises/twinOf.ts";
import { createToolchains, type Toolchains } from "../server/toolchains/toolchains.ts";
import { exerciseChecksAt } from "./exerciseChecks.ts";
import { chooseLanguage, MaterialProblem, readMaterial, readText } from "./material.ts";

type TaskOrder = { kind: string; marks: number | null };

/** Tasks as an option is given: kinds with commas between them, each with its marks behind `=` where others than the usual. */
function tasksOf(text: string): TaskOrder[] {
  return text.split(",").map((each) => {
    const [kind = "", given] = each.trim().split("=");
    const marks = given === undefined ? null : Number(given);
    if (!taskKinds.some((known) => known.kind === kind))
      throw new InvalidArgumentError(`kinds of task are ${taskKinds.map((known) => known.kind).join(", ")}`);
    if (marks !== null && (!Number.isInteger(marks) || marks < 1 || marks > 100))
      throw new InvalidArgumentError("marks are whole numbers from 1 to 100");
    return { kind, marks };
  });
}

/** What students see of its runs, as an option is given. */
function shownOf(text: string): ShownOfRuns {
  const parts = text.split(",").map((each) => each.trim());
  if (parts.some((part) => part !== "outputs" && part !== "errors"))
    throw new InvalidArgumentError("what can be shown is outputs, errors, or both with a comma between them");
  return { outputs: parts.includes("outputs"), errors: parts.includes("errors") };
}

type MakeOptions = {
  language?: string;
  mended?: string;
  checks?: string;
  tasks: TaskOrder[];
  title: string;
  intro: string;
  ownRows?: boolean;
  nothingGiven?: boolean;
  show?: ShownOfRuns;
};

async function make(toolchains: Toolchains, path: string, options: MakeOptions): Promise<void> {
  const language = chooseLanguage(options.language, basename(path));
  const [program, mended] = [
    await readText(path),
    options.mended === undefined ? null : await readText(options.mended),
  ];
  const fileName = basename(path);
  const { content, surprises } = await exerciseOfPrograms(
    { toolchains },
    {
      ...{ language, fileName, intro: options.intro, program, mended, tasks: options.tasks },
      ...(options.show ? { show: options.show } : {}),
      checks: await exerciseChecksAt(toolchains, language, fileName, mended ?? program, options.checks),
    },
  );
  const tasks = content.tasks.map((task) => {
    const table = traceTaskSchema.safeParse(task);
    if (!table.success) return task;
    return {
      ...table.data,
      ...(options.ownRows ? { linesGiven: false } : {}),
      ...(options.nothingGiven ? { given: [] } : {}),
    };
  });
  for (const words of surprises) process.stderr.write(`bent-nail: ${words}\n`);
  if (tasks.length === 0) throw new MaterialProblem("no task could be made of this program");
  const file: ExerciseFile = { format: exerciseFormat, title: options.title, exercise: { ...content, tasks } };
  process.stdout.write(`${JSON.stringify(file, null, 2)}\n`);
}

/** Marks answers, a line each, in their order; a bad line is said in its place and the rest goes on. */
async function mark(toolchains: Toolchains, exercisePath: string, answersPath: string): Promise<void> {
  const read = readExerciseFile(await readText(exercisePath));
  if (!read.ok) throw new MaterialProblem(read.message);
  if (answersPath !== "-") await readMaterial(answersPath);
  const input = answersPath === "-" ? process.stdin : createReadStream(answersPath, "utf8");
  let number = 0;
  for await (const text of createInterface({ input, crlfDelay: Number.POSITIVE_INFINITY })) {
    number += 1;
    if (text.trim() === "") continue;
    process.stdout.write(`${JSON.stringify(await markLine(toolchains, read.file, text, number))}\n`);
  }
}

async function markLine(toolchains: Toolchains, file: ExerciseFile, text: string, number: number): Promise<object> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { id: number, error: "this line is no JSON" };
  }
  const line = answerLineSchema.safeParse(value);
  if (!line.success) {
    const [issue] = line.error.issues;
    const id = typeof value === "object" && value !== null && "id" in value ? value.id : number;
    return { id, error: `${issue?.path.join(".") || "line"}: ${issue?.message ?? ""}` };
  }
  const marked = await markAnswer({ toolchains }, file.exercise, line.data);
  return typeof marked === "string" ? { id: line.data.id, error: marked } : marked;
}

/** An equal exercise in another scene. */
async function twin(toolchains: Toolchains, path: string, seed: number): Promise<void> {
  const read = readExerciseFile(await readText(path));
  if (!read.ok) throw new MaterialProblem(read.message);
  const made = await twinOf({ toolchains }, read.file.exercise, seed);
  if (typeof made === "string") throw new MaterialProblem(made);
  const tasks = made.content.tasks.map((task, at) => ({ ...task, key: read.file.exercise.tasks[at]?.key ?? task.key }));
  const file: ExerciseFile = { format: exerciseFormat, title: read.file.title, exercise: { ...made.content, tasks } };
  process.stdout.write(`${JSON.stringify(file, null, 2)}\n`);
}

/** The number of a scene. */
function seedOf(text: string): number {
  const seed = Number(text);
  if (!Number.isInteger(seed) || seed < 0) throw new InvalidArgumentError("a scene is a whole number from 0");
  return seed;
}

async function withToolchains(work: (toolchains: Toolchains) => Promise<void>): Promise<void> {
  const toolchains = createToolchains();
  try {
    await work(toolchains);
  } finally {
    await toolchains.close();
  }
}

/** Adds `bent-nail exercise make` and `bent-nail exercise mark`. */
export function addExerciseCommand(program: Command): void {
  const exercise = program.command("exercise").description("make an exercise of a program, and mark answers to it");
  exercise
    .command("make <program>")
    .description("an exercise as JSON: every key from a real run")
    .option("--language <id>", "the language, if the file name does not tell")
    .option("--mended <file>", "the same program mended; without it only tasks about the run are made")
    .option("--checks <file>", "checks as JSON, or an assignment; without it what the right program prints is intended")
    .option(
      "--tasks <list>",
      "kinds of task, with marks where wanted: trace=6,mend=4",
      tasksOf,
      tasksOf("classify,point,predict,trace,mend"),
    )
    .option("--title <text>", "its title", "")
    .option("--intro <text>", "what the program is for", "")
    .option("--show <list>", "what students see of its runs: outputs, errors, or both", shownOf)
    .option("--own-rows", "in trace tables students make their own rows")
    .option("--nothing-given", "in trace tables no cell is filled in")
    .action((path: string, options: MakeOptions) => withToolchains((toolchains) => make(toolchains, path, options)));
  exercise
    .command("twin <exercise>")
    .description("an equal exercise in another scene: the same faults, other names, numbers and outputs")
    .option("--seed <number>", "which scene; the same number gives the same one", seedOf, 1)
    .action((path: string, { seed }: { seed: number }) => withToolchains((toolchains) => twin(toolchains, path, seed)));
  exercise
    .command("mark <exercise> <answers>")
    .description("marks for answers, one JSON object a line; - reads them from standard input")
    .action((exercisePath: string, answersPath: string) =>
      withToolchains((toolchains) => mark(toolchains, exercisePath, answersPath)),
    );
}
