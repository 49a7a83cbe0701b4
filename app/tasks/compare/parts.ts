import type { PartsCompared, PartsView } from "../../../core/exercises/asked.ts";
import { PartsAnswer, PartsForm, PartsPaper } from "../Parts.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const compare = defineTaskParts<PartsView, PartsCompared, unknown>({
  ...{ kind: "compare", Form: PartsForm, Answer: PartsAnswer, Paper: PartsPaper },
});
