import { setImmediate } from "node:timers/promises";
import * as z from "zod";
import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { levelOf } from "../../core/exercises/level.ts";
import { makeTask } from "../../core/exercises/makeTask.ts";
import { inputsOf, neutralOf } from "../../core/exercises/planting/neutral/neutralPrograms.ts";
import type { PlantedFault } from "../../core/exercises/planting/planted.ts";
import { contentOf } from "../../core/exercises/planting/plantedExercise.ts";
import { taskKinds } from "../../core/exercises/taskKinds.ts";
import type { Language } from "../../core/languages/language.ts";
import { findPattern } from "../../core/patterns/patterns.ts";
import { plantsOf, preparePlants } from "../../core/patterns/plant.ts";
import { decodeText } from "../../core/source/decode.ts";
import { languageOf } from "../judge/judge.ts";
import { newKey } from "../keys.ts";
import { log } from "../log.ts";
import type { Services } from "../services.ts";
import { defineJob } from "../work/job.ts";
import { nowAndThen } from "../work/stoppable.ts";
import { checksOfProgram } from "./checksOfProgram.ts";
import { makeHiddenChecks } from "./hiddenChecks.ts";
import { withLooks } from "./looks.ts";
import { makeContext } from "./makeExercise.ts";
import {
  addPlan,
  findPlan,
  keepPlan,
  type NewPlan,
  notePlan,
  type Plan,
  type Planned,
  reopenPlan,
} from "./planStore.ts";
import { plantFaults } from "./plantFaults.ts";
import { selfCheck } from "./selfCheck.ts";
import { twinOf } from "./twinOf.ts";

/** The longest time that planting takes, in seconds. */
const longest = 25;

/** Plans a set behind the pages: plants, makes tasks, and checks each exercise before anybody sees it. */
export const planOf = defineJob({
  name: "plan-exercises",
  schema: z.object({ plan: z.string() }),
  about: (data) => data.plan,
  atOnce: 1,
  retries: 0,
  retryAfter: 0,
  work: async (services, data) => {
    const plan = await findPlan(services.database, data.plan);
    if (plan?.state !== "waiting") return;
    const begun = Date.now();
    try {
      const made = await services.toolchains.desk.behind("planting faults", () => work(services, plan));
      await keepPlan(services.database, plan.key, { ...made, seconds: (Date.now() - begun) / 1000 });
    } catch (problem) {
      log.error({ err: problem, plan: plan.key }, "planning exercises broke off");
      const said = ["The planning broke off. Try it once more."];
      await keepPlan(services.database, plan.key, { planned: [], said, seconds: (Date.now() - begun) / 1000 });
    }
  },
});

/** Keeps what is wanted and begins to work on it; gives the plan's key. */
export async function startPlan(services: Services, plan: NewPlan): Promise<string> {
  const key = await addPlan(services.database, plan);
  await services.queue.add(planOf, [{ plan: key }]);
  return key;
}

/** Makes an equal exercise in another scene of each that nothing speaks against. */
export const twinsOfPlan = defineJob({
  name: "plan-twins",
  schema: z.object({ plan: z.string(), seed: z.number() }),
  about: (data) => data.plan,
  atOnce: 1,
  retries: 0,
  retryAfter: 0,
  work: async (services, data) => {
    const plan = await findPlan(services.database, data.plan);
    if (plan?.state !== "waiting") return;
    const planned: Planned[] = [];
    await services.toolchains.desk.behind("making equal exercises", async () => {
      for (const [index, each] of plan.planned.entries()) {
        await notePlan(services.database, plan.key, index, plan.planned.length);
        planned.push(await withTwin(services, each, data.seed + index));
      }
    });
    await keepPlan(services.database, plan.key, { planned, said: plan.said, seconds: plan.seconds });
  },
});

async function withTwin(services: Services, planned: Planned, seed: number): Promise<Planned> {
  if (planned.reasons.length > 0) return planned;
  try {
    const made = await twinOf(services, planned.content, seed);
    return { ...planned, twin: typeof made === "string" ? made : made.content };
  } catch (problem) {
    log.error({ err: problem }, "making an equal exercise broke off");
    return { ...planned, twin: "Making an equal one broke off. Try it once more." };
  }
}

/** Begins to make equal exercises of a plan in another scene. */
export async function startTwins(services: Services, plan: Plan, seed: number): Promise<void> {
  await reopenPlan(services.database, plan.key, plan.planned.length);
  await services.queue.add(twinsOfPlan, [{ plan: plan.key, seed }]);
}

async function work(services: Services, plan: Plan): Promise<{ planned: Planned[]; said: string[] }> {
  const language = languageOf(plan);
  const { wish } = plan;
  if (wish.kinds.length > 0) return ofKinds(services, plan, language);
  const planting = await plantFaults(services.toolchains, {
    ...{ language, fileName: plan.file_name, program: decodeText(plan.program).text, checks: plan.checks },
    ...{ count: wish.count, seconds: longest },
    ...(wish.classes.length > 0 ? { classes: wish.classes } : {}),
    ...(wish.pattern === null ? {} : { pattern: wish.pattern }),
    ...(wish.level === null ? {} : { level: wish.level }),
    onTried: nowAndThen((tried) => notePlan(services.database, plan.key, tried, 0)),
  });
  const planned: Planned[] = [];
  for (const [index, fault] of planting.planted.entries()) {
    await notePlan(services.database, plan.key, index, planting.planted.length);
    planned.push(
      await plannedOf(services, language, {
        title: titleOf(plan.title, index),
        fault,
        wish,
        plan,
        said: planting.said,
      }),
    );
  }
  // Tasks add to the level: it never falls along the set.
  planned.sort((one, other) => one.level - other.level);
  return { planned, said: [...new Set(planting.said)] };
}

/** The longest time in which a kind of mistake is tried in neutral programs, in seconds. */
const longestOfKind = 12;

/** An exercise for each kind of mistake, each in a neutral program: nobody's own is shown. */
async function ofKinds(
  services: Services,
  plan: Plan,
  language: Language,
): Promise<{ planned: Planned[]; said: string[] }> {
  const { wish } = plan;
  const said: string[] = [];
  const planned: Planned[] = [];
  const used = new Set<string>();
  for (const [index, kind] of wish.kinds.entries()) {
    await notePlan(services.database, plan.key, index, wish.kinds.length);
    const found = await ofKind(services, language, kind, used);
    if (!found) {
      said.push(`“${findPattern(kind)?.name ?? kind}” could not be planted in a neutral program in ${language.name}.`);
      continue;
    }
    used.add(found.title);
    const given = {
      title: found.title,
      fault: found.fault,
      wish,
      plan: { file_name: language.mainName, checks: found.checks },
      said,
    };
    planned.push({ ...(await plannedOf(services, language, given)), pattern: kind });
  }
  planned.sort((one, other) => one.level - other.level);
  return { planned, said };
}

/** The first neutral program in which a kind of mistake can be planted and proven; programs that are not used yet come first. */
async function ofKind(services: Services, language: Language, pattern: string, used: ReadonlySet<string>) {
  let seconds = longestOfKind;
  const neutral = neutralOf(language.id).map((each) => ({ ...each, inputs: inputsOf(each) }));
  // Where none has a place for it, the right program of the pattern's own example has.
  const examples = (findPattern(pattern)?.examples ?? [])
    .filter((each) => each.language === language.id)
    .map(({ right, input }, at) => ({ title: `Another program ${at + 1}`, program: right, inputs: [input] }));
  const all = [...neutral, ...examples];
  const inOrder = [...all.filter(({ title }) => !used.has(title)), ...all.filter(({ title }) => used.has(title))];
  for (const { title, program, inputs } of inOrder) {
    // What can be planted in a program is worked out once for all kinds, whatever time it takes, while the server answers others.
    await preparePlants(language, program, setImmediate);
    // Most programs have no place for most kinds.
    if (plantsOf(pattern, language, program).length === 0) continue;
    if (seconds <= 0) break;
    const begun = Date.now();
    const fileName = language.mainName;
    const checks = await checksOfProgram(services, language, fileName, program, inputs);
    const { planted } = await plantFaults(services.toolchains, {
      ...{ language, fileName, program, checks, count: 1, pattern, seconds: Math.max(2, seconds) },
    });
    const [fault] = planted;
    if (fault) return { title, fault, checks };
    seconds -= (Date.now() - begun) / 1000;
  }
  return null;
}

/** What students see of an exercise's name: nothing that says what is wrong. */
const titleOf = (title: string, index: number) => `${title} ${index + 1}`;

/** An exercise of a planted fault, with its tasks and what speaks against it. */
export async function plannedOf(
  services: Pick<Services, "toolchains">,
  language: Language,
  {
    title,
    fault,
    wish,
    plan,
    said,
  }: {
    title: string;
    fault: PlantedFault;
    wish: Plan["wish"];
    plan: Pick<Plan, "file_name" | "checks">;
    said: string[];
  },
): Promise<Planned> {
  const content: ExerciseContent = contentOf({ language, fileName: plan.file_name, checks: plan.checks }, fault);
  content.hiddenChecks = await makeHiddenChecks(services, content);
  content.faults = await withLooks(services, content);
  for (const kind of taskKinds) {
    const marks = wish.tasks[kind.kind] ?? 0;
    if (marks <= 0) continue;
    const task = await makeTask(kind, makeContext(services, content), { key: newKey(8), marks });
    if (typeof task === "string") said.push(`${title}: ${task}`);
    else content.tasks.push(task);
  }
  const level = levelOf(content);
  return {
    ...{ title, content, family: fault.family, pattern: fault.pattern, level: level.level },
    why: level.reasons.map((reason) => reason.words),
    reasons: await selfCheck(services, content),
  };
}
