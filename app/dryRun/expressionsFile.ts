import { data } from "react-router";
import { type TakenApart, takenApart } from "../../core/expressions/takenApart.ts";
import { findCase, versionOf } from "../../server/cases/caseStore.ts";
import { languageOf, recordVersion } from "../../server/judge/judge.ts";
import type { Route } from "./+types/expressionsFile.ts";

/** What an address asks for: the version, the check and the recorded step. */
function askedStep(url: string) {
  const query = new URL(url).searchParams;
  return { version: query.get("version"), check: query.get("check"), step: Number(query.get("step") ?? "") };
}

/** The expressions of a recorded step's line, taken apart with the values that were there. */
export async function loader({ params, request, context }: Route.LoaderArgs): Promise<TakenApart[]> {
  const { services } = context;
  const found = await findCase(services.database, params.caseKey, "all");
  if (!found) throw data("There is no such case.", { status: 404 });
  const asked = askedStep(request.url);
  const version = found.loaded.find((each) => each.key === asked.version);
  const check = found.checks.find((each) => each.key === asked.check);
  const trace = version && check && (await recordVersion(services, found, versionOf(found, version.key), check));
  const place = trace ? trace.steps.findIndex((step) => step.index === asked.step) : -1;
  const step = trace?.steps[place];
  if (!trace || !version || step?.file !== 0) return [];
  return takenApart(languageOf(found), version.files[0]?.text ?? "", trace, place);
}
