import { startFurther, stopFurther } from "../../../server/mend/furtherWork.ts";
import { done } from "../../actions.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Tries further inputs on the current version. */
export const tryFurther = defineCaseAction({
  intent: "try-further",
  says: "",
  fields: {},
  does: async ({ services, found }) => {
    await startFurther(services, found);
    return done();
  },
});

/** Stops trying. */
export const stopTrying = defineCaseAction({
  intent: "stop-further",
  says: "",
  fields: {},
  does: async ({ services, found }) => {
    await stopFurther(services, found.current_version);
    return done("Stopped; what was found so far stays.");
  },
});
