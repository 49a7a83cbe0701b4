import type { ChoicesCompared, ChoicesView } from "../../../core/exercises/tasks/asked.ts";
import { ChoicesAnswer, ChoicesForm, ChoicesPaper } from "../asked/Choices.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const statements = defineTaskParts<ChoicesView, ChoicesCompared, unknown>({
  ...{ kind: "statements", Form: ChoicesForm, Answer: ChoicesAnswer, Paper: ChoicesPaper },
});
