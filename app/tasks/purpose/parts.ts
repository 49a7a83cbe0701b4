import type { FieldsCompared, FieldsView } from "../../../core/exercises/tasks/asked.ts";
import { FieldsAnswer, FieldsForm, FieldsPaper } from "../asked/Fields.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const purpose = defineTaskParts<FieldsView, FieldsCompared, unknown>({
  ...{ kind: "purpose", Form: FieldsForm, Answer: FieldsAnswer, Paper: FieldsPaper },
});
