import type { Holds } from "../../core/expressions/holdsAt.ts";
import { holdsAt } from "../../core/expressions/holdsAt.ts";
import { languageOf } from "../../server/judge/judge.ts";
import type { Route } from "./+types/holdsFile.ts";
import { recordingAsked } from "./recordingAsked.ts";

/** Characters of a condition that is asked. */
const most = 400;

/** Where the condition of a breakpoint holds in a recorded run. */
export async function loader({ params, request, context }: Route.LoaderArgs): Promise<Holds> {
  const { found, trace, query } = await recordingAsked(context.services, params.caseKey, request.url);
  const condition = (query.get("condition") ?? "").trim();
  const line = Number(query.get("line") ?? "");
  if (condition === "" || condition.length > most || !trace)
    return { steps: [], ran: 0, why: "There is no condition." };
  return holdsAt(languageOf(found), trace, line, condition);
}
