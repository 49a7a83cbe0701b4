import type { ComponentType } from "react";
import type { StudentView } from "../../server/sittingAccess.ts";
import { ClassifyForm } from "./ClassifyForm.tsx";
import { MendForm } from "./MendForm.tsx";
import { PointForm } from "./PointForm.tsx";
import { PredictForm } from "./PredictForm.tsx";
import { TraceForm } from "./TraceForm.tsx";

export type StudentExercise = StudentView["exercises"][number];
export type StudentTask = StudentExercise["tasks"][number];

/** What the form of a task is given. `answer` is what was saved, of any form; `fixed`: it can be read but not changed. */
export type TaskFormProps = {
  task: StudentTask;
  exercise: StudentExercise;
  code: string;
  answer: unknown;
  fixed: boolean;
  change: (answer: unknown) => void;
  saveNow: () => Promise<undefined>;
};

/** The form of each kind of task. */
export const taskForms: Readonly<Record<string, ComponentType<TaskFormProps>>> = {
  classify: ClassifyForm,
  point: PointForm,
  predict: PredictForm,
  trace: TraceForm,
  mend: MendForm,
};
