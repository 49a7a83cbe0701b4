import type { ChoicesCompared, ChoicesView } from "../../../core/exercises/asked.ts";
import { ChoicesAnswer, ChoicesForm, ChoicesPaper } from "../Choices.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const runs = defineTaskParts<ChoicesView, ChoicesCompared, unknown>({
  ...{ kind: "runs", Form: ChoicesForm, Answer: ChoicesAnswer, Paper: ChoicesPaper },
});
