import type { FieldsCompared, FieldsView } from "../../../core/exercises/asked.ts";
import { FieldsAnswer, FieldsForm, FieldsPaper } from "../Fields.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const reading = defineTaskParts<FieldsView, FieldsCompared, unknown>({
  ...{ kind: "reading", Form: FieldsForm, Answer: FieldsAnswer, Paper: FieldsPaper },
});
