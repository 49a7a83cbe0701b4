import type { PageAction } from "../../actions.ts";
import { prove, twin } from "./anew.ts";
import type { ExerciseContext } from "./exerciseAction.ts";
import { place } from "./place.ts";
import { changeTask, removeTask, setMarks } from "./tasks.ts";
import { words } from "./words.ts";

/** Everything that the page of an exercise can be asked for. */
export const exerciseActions: ReadonlyArray<PageAction<ExerciseContext>> = [
  words,
  setMarks,
  removeTask,
  changeTask,
  place,
  prove,
  twin,
];
