import type { PartsCompared, PartsView } from "../../../core/exercises/asked.ts";
import { PartsAnswer, PartsForm, PartsPaper } from "../Parts.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const refusals = defineTaskParts<PartsView, PartsCompared, unknown>({
  ...{ kind: "refusals", Form: PartsForm, Answer: PartsAnswer, Paper: PartsPaper },
});
