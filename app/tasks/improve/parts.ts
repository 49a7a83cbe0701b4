import type { FieldsCompared, FieldsView } from "../../../core/exercises/asked.ts";
import { FieldsAnswer, FieldsForm, FieldsPaper } from "../Fields.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const improve = defineTaskParts<FieldsView, FieldsCompared, unknown>({
  ...{ kind: "improve", Form: FieldsForm, Answer: FieldsAnswer, Paper: FieldsPaper },
});
