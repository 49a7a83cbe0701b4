import type { TraceCompared, TraceKey, TraceView } from "../../../core/exercises/traceTask.ts";
import { defineTaskParts } from "../taskParts.ts";
import { Answer } from "./Answer.tsx";
import { Change } from "./Change.tsx";
import { Form } from "./Form.tsx";
import { Key } from "./Key.tsx";
import { Paper } from "./Paper.tsx";

export const trace = defineTaskParts<TraceView, TraceCompared, TraceKey>({
  kind: "trace",
  Form,
  Answer,
  Paper,
  Key,
  Change,
  partsOnPaper: true,
});
