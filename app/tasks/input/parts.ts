import type { FieldsCompared, FieldsView } from "../../../core/exercises/asked.ts";
import { FieldsAnswer, FieldsForm, FieldsPaper } from "../Fields.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const input = defineTaskParts<FieldsView, FieldsCompared, unknown>({
  ...{ kind: "input", Form: FieldsForm, Answer: FieldsAnswer, Paper: FieldsPaper },
});
