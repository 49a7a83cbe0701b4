import type { DefineAnswer, DefineView } from "../../../core/exercises/tasks/define.ts";
import { defineTaskParts } from "../taskParts.ts";
import { Answer } from "./Answer.tsx";
import { Change } from "./Change.tsx";
import { Form } from "./Form.tsx";
import { Paper } from "./Paper.tsx";

export const define = defineTaskParts<DefineView, DefineAnswer, DefineView>({
  kind: "define",
  Form,
  Answer,
  Paper,
  Change,
});
