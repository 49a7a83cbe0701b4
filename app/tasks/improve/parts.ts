import type { FieldsCompared, FieldsView } from "../../../core/exercises/tasks/asked.ts";
import { FieldsAnswer, FieldsForm, FieldsPaper } from "../asked/Fields.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const improve = defineTaskParts<FieldsView, FieldsCompared, unknown>({
  ...{ kind: "improve", Form: FieldsForm, Answer: FieldsAnswer, Paper: FieldsPaper },
});
