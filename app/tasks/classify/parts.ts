import type { ClassifyAnswer } from "../../../core/exercises/tasks/classify.ts";
import { defineTaskParts } from "../taskParts.ts";
import { Answer } from "./Answer.tsx";
import { Form } from "./Form.tsx";
import { Paper } from "./Paper.tsx";

export const classify = defineTaskParts<unknown, ClassifyAnswer, unknown>({ kind: "classify", Form, Answer, Paper });
