import type { PartsCompared, PartsView } from "../../../core/exercises/asked.ts";
import { PartsAnswer, PartsForm, PartsPaper } from "../Parts.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const layout = defineTaskParts<PartsView, PartsCompared, unknown>({
  ...{ kind: "layout", Form: PartsForm, Answer: PartsAnswer, Paper: PartsPaper },
});
