import type { PointAnswer, PointView } from "../../../core/exercises/tasks/point.ts";
import { defineTaskParts } from "../taskParts.ts";
import { Answer } from "./Answer.tsx";
import { Form } from "./Form.tsx";
import { Paper } from "./Paper.tsx";

export const point = defineTaskParts<PointView, PointAnswer, unknown>({ kind: "point", Form, Answer, Paper });
