import type { PartsCompared, PartsView } from "../../../core/exercises/asked.ts";
import { PartsAnswer, PartsForm, PartsPaper } from "../Parts.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const missing = defineTaskParts<PartsView, PartsCompared, unknown>({
  ...{ kind: "missing", Form: PartsForm, Answer: PartsAnswer, Paper: PartsPaper },
});
