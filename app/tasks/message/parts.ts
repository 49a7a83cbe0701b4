import type { FieldsCompared, FieldsView } from "../../../core/exercises/tasks/asked.ts";
import { FieldsAnswer, FieldsForm, FieldsPaper } from "../asked/Fields.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const message = defineTaskParts<FieldsView, FieldsCompared, unknown>({
  ...{ kind: "message", Form: FieldsForm, Answer: FieldsAnswer, Paper: FieldsPaper },
});
