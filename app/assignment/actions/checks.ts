import { listAssignmentChecks } from "../../../server/assignments/checkStore.ts";
import {
  confirmChecks,
  moveCheck,
  removeAssignmentCheck,
  saveAssignmentCheck,
} from "../../../server/classwork/assignmentChecks.ts";
import { addProposals } from "../../../server/classwork/proposals.ts";
import { done, refused } from "../../actions.ts";
import { readSurroundings, surroundingsFields } from "../../checks/surroundingsForm.ts";
import { field } from "../../forms.ts";
import { comparisonFields, readComparison } from "../comparisonForm.ts";
import { defineAssignmentAction } from "./assignmentAction.ts";

/** More characters than any program may print cannot be what a program is to give. */
const longestIntended = 1_000_000;

/** Adds a check or changes one. An intended output that is not said is worked out by a model. */
export const keepCheck = defineAssignmentAction({
  intent: "check",
  fields: {
    key: field.text(100),
    name: field.text(120),
    purpose: field.text(500),
    input: field.text(200_000),
    expected: field.text(),
    expectsNothing: field.ticked(),
    kind: field.one(["normal", "boundary", "erroneous"]),
    visible: field.ticked(),
    ...surroundingsFields,
    ...comparisonFields,
  },
  does: async ({ services, assignment }, change, given) => {
    const comparison = readComparison(given);
    if ("problem" in comparison) return refused(comparison.problem);
    const surroundings = readSurroundings(given);
    if (!surroundings)
      return refused("A file's name is empty, leads out of the folder, or its text is too long. Nothing was changed.");
    const says = given.expected !== "" || given.expectsNothing;
    if (given.expected.length > longestIntended || given.expected.includes("\0"))
      return refused(
        "No program here can give this output: it is longer than 1 MB, or holds a NUL. Nothing was changed.",
      );
    const { input, kind, visible } = given;
    const key = given.key || null;
    const before = key === null ? [] : await listAssignmentChecks(services.database, assignment.key);
    const former = before.find((each) => each.key === key);
    // Whoever leaves what a model worked out as it stands keeps it as it is, prompts and all.
    const untouched = says && former?.pieces && former.expected === given.expected && former.input === input;
    const saved = await saveAssignmentCheck(services, assignment, { ...change, reason: "changed" }, key, {
      ...{ input, kind, visible, surroundings, comparison, expected: says ? given.expected : null },
      ...{ name: given.name, purpose: given.purpose },
      ...(untouched ? { pieces: former.pieces, workedOutBy: former.worked_out_by, confirmed: former.confirmed } : {}),
    });
    if (!saved.ok) return refused(saved);
    return done(says ? "Kept. Every program is judged by it." : "Worked out by the model: look at it and confirm it.");
  },
});

/** Moves a check up or down in the order in which checks decide. */
export const move = defineAssignmentAction({
  intent: "move check",
  fields: { key: field.text(100), by: field.one(["up", "down"]) },
  does: async ({ services, assignment }, change, { key, by }) => {
    const moved = await moveCheck(services, assignment.key, change, key, by === "up" ? -1 : 1);
    return moved.ok ? done() : refused(moved);
  },
});

/** Takes a check away. */
export const dropCheck = defineAssignmentAction({
  intent: "remove check",
  fields: { key: field.text(100) },
  does: async ({ services, assignment }, change, { key }) => {
    const removed = await removeAssignmentCheck(services, assignment.key, { ...change, reason: "removed" }, key);
    return removed.ok ? done("The check was taken away.") : refused(removed);
  },
});

/** Confirms what a model worked out: one check, or all that wait. */
export const confirm = defineAssignmentAction({
  intent: "confirm",
  fields: { key: field.list() },
  does: async ({ services, assignment }, change, { key }) => {
    const confirmed = await confirmChecks(services, assignment.key, { ...change, reason: "confirmed" }, key);
    return confirmed.ok
      ? done(`${key.length === 1 ? "Confirmed" : `${key.length} confirmed`}. Every program is judged anew.`)
      : refused(confirmed);
  },
});

/** Adds proposed inputs as checks: the ticked ones, or without any those that matter. */
export const propose = defineAssignmentAction({
  intent: "propose",
  fields: { input: field.list(), chosen: field.ticked() },
  does: async ({ services, assignment }, change, { input, chosen }) => {
    if (chosen && input.length === 0) return refused("None is ticked.");
    const added = await addProposals(services, assignment, change, chosen ? input : null);
    if (!added.ok) return refused(added);
    return done(
      added.added
        ? `${added.added} added, with what the model gives. Look at them and confirm them.`
        : "The model ends well for none of them, so nothing was added.",
    );
  },
});
