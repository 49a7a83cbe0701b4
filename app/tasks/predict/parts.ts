import type { PredictAnswer, PredictView } from "../../../core/exercises/tasks/predict.ts";
import { defineTaskParts } from "../taskParts.ts";
import { Answer } from "./Answer.tsx";
import { Form } from "./Form.tsx";
import { Paper } from "./Paper.tsx";

export const predict = defineTaskParts<PredictView, PredictAnswer, unknown>({ kind: "predict", Form, Answer, Paper });
