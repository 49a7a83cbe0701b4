import { data } from "react-router";
import { workOutAt } from "../../core/expressions/atStep.ts";
import type { WorkedLine } from "../../core/expressions/evaluate.ts";
import { type ExpressionUse, expressionsOn } from "../../core/expressions/expressionsOn.ts";
import { isUnknown } from "../../core/expressions/known.ts";
import { findCase, versionOf } from "../../server/cases/caseStore.ts";
import { languageOf, recordVersion } from "../../server/judge/judge.ts";
import type { Route } from "./+types/expressionsFile.ts";

/** An expression of a line taken apart in both ways; `why` says what could not be worked out, "" where all was. */
export type TakenApart = {
  use: ExpressionUse;
  text: string;
  machine: WorkedLine[];
  paper: WorkedLine[];
  why: string;
  raised: boolean;
};

/** What an address asks for: the version, the check and the recorded step. */
export function askedStep(url: string) {
  const query = new URL(url).searchParams;
  return { version: query.get("version"), check: query.get("check"), step: Number(query.get("step") ?? "") };
}

/** The expressions of a recorded step's line, taken apart with the values that were there. */
export async function loader({ params, request, context }: Route.LoaderArgs): Promise<TakenApart[]> {
  const { services } = context;
  const found = await findCase(services.database, params.caseKey);
  if (!found) throw data("There is no such case.", { status: 404 });
  const asked = askedStep(request.url);
  const version = found.loaded.find((each) => each.key === asked.version);
  const check = found.checks.find((each) => each.key === asked.check);
  const trace = version && check && (await recordVersion(services, found, versionOf(found, version.key), check));
  const place = trace ? trace.steps.findIndex((step) => step.index === asked.step) : -1;
  const step = trace?.steps[place];
  if (!trace || !version || step?.file !== 0) return [];
  const language = languageOf(found);
  return expressionsOn(language, version.files[0]?.text ?? "", step.line).flatMap((expression) => {
    const machine = workOutAt(language, trace, place, expression);
    const paper = workOutAt(language, trace, place, expression, "paper");
    if (!machine || !paper) return [];
    const unknown = isUnknown(machine.value) ? machine.value : null;
    return [
      {
        ...{ use: expression.use, text: expression.text, machine: machine.lines, paper: paper.lines },
        ...{ why: unknown?.why ?? "", raised: unknown?.raised === true },
      },
    ];
  });
}
