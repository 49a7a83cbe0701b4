import type { ChoicesCompared, ChoicesView } from "../../../core/exercises/tasks/asked.ts";
import { ChoicesAnswer, ChoicesForm, ChoicesPaper } from "../asked/Choices.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const runs = defineTaskParts<ChoicesView, ChoicesCompared, unknown>({
  ...{ kind: "runs", Form: ChoicesForm, Answer: ChoicesAnswer, Paper: ChoicesPaper },
});
