import type { RoundsCompared, RoundsView } from "../../../core/exercises/tasks/rounds.ts";
import { defineTaskParts } from "../taskParts.ts";
import { Answer } from "./Answer.tsx";
import { Form } from "./Form.tsx";
import { Paper } from "./Paper.tsx";

export const rounds = defineTaskParts<RoundsView, RoundsCompared, unknown>({
  ...{ kind: "rounds", Form, Answer, Paper, partsOnPaper: true },
});
