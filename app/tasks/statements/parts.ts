import type { ChoicesCompared, ChoicesView } from "../../../core/exercises/asked.ts";
import { ChoicesAnswer, ChoicesForm, ChoicesPaper } from "../Choices.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const statements = defineTaskParts<ChoicesView, ChoicesCompared, unknown>({
  ...{ kind: "statements", Form: ChoicesForm, Answer: ChoicesAnswer, Paper: ChoicesPaper },
});
