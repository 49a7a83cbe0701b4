import { judgeProgramOf } from "../classwork/judgeAssignment.ts";
import { strengthOf } from "../classwork/strengthWork.ts";
import { judgeCase } from "../collect/judging.ts";
import { planOf, twinsOfPlan } from "../exercises/planWork.ts";
import { noteCase } from "../judge/findingWork.ts";
import { goOn } from "../judge/judge.ts";
import { sweepOldRuns } from "../judge/sweep.ts";
import { markWork } from "../marks/markingWork.ts";
import { searchJudged, searchOf } from "../mend/findFixes.ts";
import { furtherOf } from "../mend/furtherWork.ts";
import type { Services } from "../services.ts";
import { scenesOf } from "../sheets/scenesWork.ts";
import { bound, followed } from "./job.ts";
import type { Worker } from "./queue.ts";

/** Every kind of work that is done behind the pages; a new one is one file and one line here. */
export function allJobs(services: Services): Worker[] {
  return [
    bound(
      services,
      followed(judgeCase, (data) => searchJudged(services, data.case, data.collection)),
    ),
    bound(
      services,
      followed(judgeProgramOf, (data) => searchJudged(services, data.case, data.assignment)),
    ),
    bound(services, markWork),
    ...[bound(services, goOn), bound(services, sweepOldRuns), bound(services, searchOf), bound(services, strengthOf)],
    ...[bound(services, furtherOf), bound(services, noteCase), bound(services, planOf), bound(services, twinsOfPlan)],
    bound(services, scenesOf),
  ];
}
