import type { FieldsCompared, FieldsView } from "../../../core/exercises/asked.ts";
import { FieldsAnswer, FieldsForm, FieldsPaper } from "../Fields.tsx";
import { defineTaskParts } from "../taskParts.ts";

export const purpose = defineTaskParts<FieldsView, FieldsCompared, unknown>({
  ...{ kind: "purpose", Form: FieldsForm, Answer: FieldsAnswer, Paper: FieldsPaper },
});
