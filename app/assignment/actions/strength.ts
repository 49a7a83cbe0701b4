import { addMissing, startStrength, stopStrength } from "../../../server/classwork/strengthWork.ts";
import { done, refused } from "../../actions.ts";
import { defineAssignmentAction } from "./assignmentAction.ts";

/** Measures how strong the checks are. */
export const measure = defineAssignmentAction({
  intent: "measure",
  fields: {},
  does: async ({ services, assignment }) => {
    const problem = await startStrength(services, assignment);
    return problem === null ? done() : refused(problem);
  },
});

/** Stops measuring. */
export const stopMeasuring = defineAssignmentAction({
  intent: "stop measuring",
  fields: {},
  does: async ({ services, assignment }) => {
    await stopStrength(services, assignment.key);
    return done("Stopped; what was found so far stays.");
  },
});

/** Adds the inputs that would notice what no check does. */
export const addMissingChecks = defineAssignmentAction({
  intent: "add missing",
  fields: {},
  does: async ({ services, assignment }, change) => {
    const added = await addMissing(services, assignment, change);
    if (!added.ok) return refused(added);
    return done(
      added.added
        ? `${added.added} added, with what the model gives. Look at them and confirm them.`
        : "None was added: there are as many checks as there may be, or the model ends well for none of them.",
    );
  },
});
