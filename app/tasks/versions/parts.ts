import type { PartsCompared, PartsView } from "../../../core/exercises/asked.ts";
import { PartsAnswer, PartsForm, PartsPaper } from "../Parts.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const versions = defineTaskParts<PartsView, PartsCompared, unknown>({
  ...{ kind: "versions", Form: PartsForm, Answer: PartsAnswer, Paper: PartsPaper },
});
