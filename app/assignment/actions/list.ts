import type { PageAction } from "../../actions.ts";
import { about, handIn, judgeAgain, putAway, starter, stop } from "./about.ts";
import type { AssignmentContext } from "./assignmentAction.ts";
import { confirm, dropCheck, keepCheck, move, propose } from "./checks.ts";
import { addModel, dropModel, guess, runAgain, shape } from "./models.ts";
import { addMissingChecks, measure, stopMeasuring } from "./strength.ts";
import { takeFiles } from "./takeFiles.ts";

/** Everything that the pages of an assignment can be asked for. */
export const assignmentActions: ReadonlyArray<PageAction<AssignmentContext>> = [
  ...[about, starter, handIn, putAway, judgeAgain, stop],
  ...[keepCheck, dropCheck, move, confirm, propose, takeFiles],
  ...[measure, stopMeasuring, addMissingChecks],
  ...[addModel, dropModel, runAgain, shape, guess],
];
