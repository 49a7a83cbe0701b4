import type { PartsCompared, PartsView } from "../../../core/exercises/asked.ts";
import { PartsAnswer, PartsForm, PartsPaper } from "../Parts.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const byhand = defineTaskParts<PartsView, PartsCompared, unknown>({
  ...{ kind: "byhand", Form: PartsForm, Answer: PartsAnswer, Paper: PartsPaper },
});
