import { kindOfTask } from "../../../core/exercises/taskKinds.ts";
import { makeContext } from "../../../server/exercises/makeExercise.ts";
import type { PageAction } from "../../actions.ts";
import { field, formFields } from "../../forms.ts";
import { defineExerciseAction, type ExerciseContext, withTask } from "./exerciseAction.ts";

/** The marks of a task. */
export const setMarks = defineExerciseAction({
  intent: "marks",
  fields: { task: field.text(100), marks: field.whole(1, 100) },
  changes: async ({ exercise }, given) =>
    withTask(exercise.content, given.task, async (task) => ({ ...task, marks: given.marks })),
});

/** Leaves a task out. */
export const removeTask = defineExerciseAction({
  intent: "remove task",
  fields: { task: field.text(100) },
  changes: async ({ exercise }, given) => withTask(exercise.content, given.task, async () => null),
});

const changing = (fields: unknown) =>
  defineExerciseAction({
    intent: "change task",
    fields: { task: field.text(100) },
    changes: async ({ services, exercise }, given) =>
      withTask(exercise.content, given.task, async (task) => {
        const { change } = kindOfTask(task);
        if (!change) return "There is nothing of this task to be changed but its marks.";
        return change(makeContext(services, exercise.content), task, fields);
      }),
  });

/** Changes what the kind of a task leaves to the teacher; its kind reads the fields. */
export const changeTask: PageAction<ExerciseContext> = {
  intent: "change task",
  run: (context, form) => changing(formFields(form)).run(context, form),
};
