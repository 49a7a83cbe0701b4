import { limitsSchema } from "../core/outcome/outcome.ts";
import { createToolchains, type Toolchains } from "./toolchains/toolchains.ts";

let made: Toolchains | null = null;

/**
 * The translators that all files of tests of this process share, so that none of them waits for a sandbox that another one has
 * warm already: for tests. They end with the process; closing what is given here closes nothing.
 */
export function sharedToolchains(): Toolchains {
  made ??= createToolchains();
  return { ...made, close: async () => {} };
}

/** Limits of a run that is to end by itself, however slow the machine is beside other work: for tests. */
export const patientLimits = limitsSchema.parse({ cpuSeconds: 30, wallSeconds: 60 });
