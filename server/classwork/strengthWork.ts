import * as z from "zod";
import { mergeComparison } from "../../core/assignments/comparison.ts";
import { type Assignment, findAssignment } from "../assignments/assignmentStore.ts";
import { listAssignmentChecks } from "../assignments/checkStore.ts";
import { listModels } from "../assignments/modelStore.ts";
import type { Changed } from "../cases/changeCase.ts";
import { languageOf } from "../judge/judge.ts";
import type { Services } from "../services.ts";
import { defineJob } from "../work/job.ts";
import { cancelPending } from "../work/jobStore.ts";
import type { Measured } from "../work/measuredStore.ts";
import { createStoppable, nowAndThen, runsBeside } from "../work/stoppable.ts";
import type { AssignmentChange } from "./changeAssignment.ts";
import { addInputs } from "./proposals.ts";
import { measureStrength, type Strength } from "./strength.ts";
import { strengths } from "./strengthStore.ts";

/** The longest time that a measurement takes. */
const seconds = 120;
/** Measurements that go on in this process. */
const measurements = createStoppable();

/** The checks that judge, and the first model: what is measured, as a text that changes when either does. */
async function measured(services: Services, assignment: Assignment) {
  const [checks, models] = await Promise.all([
    listAssignmentChecks(services.database, assignment.key),
    listModels(services.database, assignment.key),
  ]);
  const judging = checks.filter((check) => check.confirmed);
  const model = models[0];
  return {
    judging,
    model,
    editions: [model?.key ?? "", ...judging.map((check) => `${check.key} ${check.edition}`)].join("\n"),
  };
}

/** Measures how strong the checks of an assignment are, behind the pages. */
export const strengthOf = defineJob({
  name: "check-strength",
  schema: z.object({ assignment: z.string() }),
  about: (data) => data.assignment,
  atOnce: 1,
  retries: 0,
  retryAfter: 0,
  work: async (services, data) => {
    const assignment = await findAssignment(services.database, data.assignment);
    const kept = await strengths.find(services.database, data.assignment);
    if (!assignment || kept?.state !== "waiting") return;
    const { judging, model } = await measured(services, assignment);
    if (!model) return;
    await measurements.run(assignment.key, (signal) =>
      services.toolchains.desk.behind("strength", async () => {
        const result = await measureStrength(services.toolchains, {
          ...{ language: languageOf(model), files: model.files, shape: assignment.input_shape },
          ...{ seconds, atOnce: runsBeside, signal },
          checks: judging.map(({ input, surroundings, comparison }) => ({
            ...{ input, surroundings, comparison: mergeComparison(assignment.comparison, comparison) },
          })),
          onTried: nowAndThen((tried, of) => strengths.note(services.database, assignment.key, tried, of)),
        });
        await strengths.keep(services.database, assignment.key, result);
      }),
    );
  },
});

/** Begins to measure. Words for a person where there is nothing to measure. */
export async function startStrength(services: Services, assignment: Assignment): Promise<string | null> {
  const { judging, model, editions } = await measured(services, assignment);
  if (!model) return "A model is needed: small changes are made of it.";
  if (judging.length === 0) return "There are no checks that judge yet.";
  await strengths.begin(services.database, assignment.key, editions);
  await services.queue.add(strengthOf, [{ assignment: assignment.key }]);
  return null;
}

/** Stops measuring; what was found so far is kept. */
export async function stopStrength(services: Services, assignment: string): Promise<void> {
  await strengths.stop(services.database, assignment);
  await cancelPending(services.database, strengthOf.name, "assignment", assignment);
  await measurements.stop(assignment);
}

/** What was measured of an assignment. `outOfDate`: its checks or its model were changed since. */
export async function strengthFor(
  services: Services,
  assignment: Assignment,
): Promise<(Measured<Strength> & { outOfDate: boolean }) | null> {
  const kept = await strengths.find(services.database, assignment.key);
  return kept && { ...kept, outOfDate: kept.checks !== (await measured(services, assignment)).editions };
}

/** Adds the inputs that would notice what no check does; a model works their outputs out, a person confirms them. */
export async function addMissing(
  services: Services,
  assignment: Assignment,
  change: Omit<AssignmentChange, "key" | "text">,
): Promise<Changed & { added?: number }> {
  const kept = await strengths.find(services.database, assignment.key);
  const missing = kept?.result?.missing ?? [];
  const says = (input: string) => kept?.result?.unnoticed.find((each) => each.input === input)?.says ?? "";
  return addInputs(
    services,
    assignment,
    change,
    missing.map((input, at) => ({
      ...{ name: `tells apart ${at + 1}`, input, kind: "boundary" as const },
      purpose: `notices a small change: ${says(input)}`.slice(0, 480),
    })),
  );
}
