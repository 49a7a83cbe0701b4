import type { RoundsCompared, RoundsKey, RoundsView } from "../../../core/exercises/tasks/rounds.ts";
import { defineTaskParts } from "../taskParts.ts";
import { Answer } from "./Answer.tsx";
import { Form } from "./Form.tsx";
import { Key } from "./Key.tsx";
import { Paper } from "./Paper.tsx";

export const rounds = defineTaskParts<RoundsView, RoundsCompared, RoundsKey>({
  ...{ kind: "rounds", Form, Answer, Paper, Key, partsOnPaper: true },
});
