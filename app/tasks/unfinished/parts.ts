import type { PartsCompared, PartsView } from "../../../core/exercises/asked.ts";
import { PartsAnswer, PartsForm, PartsPaper } from "../Parts.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const unfinished = defineTaskParts<PartsView, PartsCompared, unknown>({
  ...{ kind: "unfinished", Form: PartsForm, Answer: PartsAnswer, Paper: PartsPaper },
});
