import { type TakenApart, takenApart, takenApartText } from "../../core/expressions/takenApart.ts";
import { languageOf } from "../../server/judge/judge.ts";
import type { Route } from "./+types/expressionsFile.ts";
import { recordingAsked } from "./recordingAsked.ts";

/** Characters of an expression that is asked. */
const most = 400;

/**
 * The expressions of a recorded step's line, taken apart with the values that were there; before them one that is asked for
 * (`expression`). Nothing of the program is run for it.
 */
export async function loader({ params, request, context }: Route.LoaderArgs): Promise<TakenApart[]> {
  const { found, text, trace, query } = await recordingAsked(context.services, params.caseKey, request.url);
  const index = Number(query.get("step") ?? "");
  const place = trace ? trace.steps.findIndex((step) => step.index === index) : -1;
  const step = trace?.steps[place];
  if (!trace || step?.file !== 0) return [];
  const asked = (query.get("expression") ?? "").trim().slice(0, most);
  const language = languageOf(found);
  return [
    ...(asked === "" ? [] : [takenApartText(language, trace, place, asked)]),
    ...takenApart(language, text, trace, place),
  ];
}
