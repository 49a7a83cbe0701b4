import { spawn } from "node:child_process";
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { availableParallelism, tmpdir } from "node:os";
import { join } from "node:path";
import { editContext } from "../core/edits/context.ts";
import { applyEdit } from "../core/edits/edit.ts";
import { proposeEdits } from "../core/edits/families.ts";
import { findLanguage } from "../core/languages/languages.ts";
import { forEachJob } from "../server/mend/search.ts";
import { createSearchRuns } from "../server/mend/searchRuns.ts";
import { createToolchains, type Toolchains } from "../server/toolchains/toolchains.ts";
import type { RightProgram } from "./collection/program.ts";
import { rightPrograms } from "./collection/programs.ts";
import type { Measure } from "./measure.ts";

/** The plain translator on one candidate, as a shell would use it, and how many times as many we are to try. */
const plans: Record<string, { shell: string; times: Readonly<Record<string, number>> }> = {
  python: { shell: "/usr/bin/python3 $f", times: { refused: 200, running: 20 } },
  java: { shell: "javac $f && java Main", times: { all: 10 } },
  c: { shell: "gcc $f && ./a.out", times: { all: 3 } },
  csharp: { shell: "mcs -out:a.exe $f && mono a.exe", times: { all: 2 } },
  pascal: { shell: "fpc -v0 -oa.out $f && ./a.out", times: { all: 2 } },
  octave: { shell: "octave-cli $f", times: { all: 5 } },
};
const plainRuns = 16;

/** Does a work for each item, as many at once as there are processors; the milliseconds of all. */
async function timeOf<T>(items: readonly T[], atOnce: number, work: (item: T) => Promise<unknown>): Promise<number> {
  const left = [...items];
  const begun = performance.now();
  const worker = async () => {
    for (let item = left.shift(); item !== undefined; item = left.shift()) await work(item);
  };
  await Promise.all(Array.from({ length: atOnce }, worker));
  return performance.now() - begun;
}

/** Runs a shell command with an input in a folder; resolves when it has ended, whatever came of it. */
function shell(command: string, folder: string, input: string): Promise<void> {
  return new Promise((resolve) => {
    const child = spawn("timeout", ["10", "bash", "-c", command], { cwd: folder, stdio: ["pipe", "ignore", "ignore"] });
    child.on("close", () => resolve());
    child.stdin?.on("error", () => undefined);
    child.stdin?.end(input);
  });
}

/** One slip planted at each of many places. */
function candidatesOf(program: RightProgram): string[] {
  const language = findLanguage(program.language);
  const context = language && editContext(language, program.text);
  if (!context) throw new Error(program.language);
  return [...new Set(proposeEdits(context, "plant").map((edit) => applyEdit(program.text, edit)))];
}

async function benchLanguage(toolchains: Toolchains, id: string): Promise<Measure[]> {
  const language = findLanguage(id);
  const plan = plans[id];
  const program = rightPrograms.find((each) => each.language === id);
  if (!language || !plan || !program) throw new Error(id);
  const runs = createSearchRuns(toolchains, {
    ...{ language, files: [{ name: language.mainName, bytes: Buffer.from(program.text) }] },
    ...{ checks: [{ input: program.inputs[0] ?? "", expected: "" }], policies: { endlessClass: "logic" }, seconds: 60 },
  });
  const known = await runs.begin(program.text);
  if (!known) throw new Error(`${id} cannot be run`);
  const until = Date.now() + 600_000;
  const reach = (text: string) => runs.reachOfMany(text, 0, known.quick, until, false);
  const texts = candidatesOf(program);
  const some = runs.inCompany ? texts : texts.filter((_, at) => at % Math.ceil(texts.length / 60) === 0);
  const refused = new Set<string>();
  const loops = new Set<string>();
  await timeOf(some, runs.inCompany ? 256 : 4, async (text) => {
    const ran = await reach(text);
    if (ran?.reach === 0) refused.add(text);
    if (ran?.outcome.stoppedBy === "time") loops.add(text);
  });
  const ended = some.filter((text) => !loops.has(text));
  const kinds: Record<string, string[]> = {
    all: ended,
    refused: ended.filter((text) => refused.has(text)),
    running: ended.filter((text) => !refused.has(text)),
  };
  const measures: Measure[] = [];
  for (const [kind, times] of Object.entries(plan.times)) {
    const own = kinds[kind] ?? [];
    // Fast ones are tried again and again, so that a start or a stop of something else does not decide.
    const rounds = runs.inCompany ? Math.ceil((kind === "refused" ? 6000 : 1000) / own.length) : 1;
    // A text that was built before would not be built again.
    const repeated = Array.from({ length: rounds }, (_, round) =>
      own.map((text) => text + "\n".repeat(round + 1)),
    ).flat();
    const atOnce = availableParallelism() * forEachJob[kind === "refused" ? "refused" : "running"];
    const ours = (await timeOf(repeated, runs.inCompany ? atOnce : 4, reach)) / repeated.length;
    const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
    const sample = own.filter((_, at) => at % Math.max(1, Math.floor(own.length / plainRuns)) === 0);
    let number = 0;
    const plain =
      (await timeOf(sample, availableParallelism(), async (text) => {
        const inside = join(folder, String(number++));
        mkdirSync(inside);
        writeFileSync(join(inside, language.mainName), text);
        await shell(plan.shell.replace("$f", language.mainName), inside, program.inputs[0] ?? "");
      })) / sample.length;
    rmSync(folder, { recursive: true, force: true });
    console.log(
      `${id}, ${kind}: ${own.length} candidates of ${program.name}, ${ours.toFixed(3)} ms each; plain: ${plain.toFixed(1)} ms`,
    );
    measures.push({
      work: `try ${kind === "all" ? "" : `${kind} `}candidates of ${id}`,
      against: `${plan.shell.split(" ")[0]}, a process each, as many at once`,
      value: ours / plain,
      unit: "x",
      atMost: 1 / times,
    });
  }
  return measures;
}

/** Trying candidates of a search against the plain translator, a process for each, both with all processors. */
export async function benchCandidates(): Promise<Measure[]> {
  const toolchains = createToolchains();
  const wanted = process.env.BENT_NAIL_BENCH_LANGUAGE;
  try {
    const measures: Measure[] = [];
    for (const id of Object.keys(plans))
      if (!wanted || id === wanted) measures.push(...(await benchLanguage(toolchains, id)));
    return measures;
  } finally {
    await toolchains.close();
  }
}
