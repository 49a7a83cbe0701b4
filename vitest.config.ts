import { defineConfig } from "vitest/config";
import { unitTestsOfOtherDays } from "./tools/inTurn.ts";
import { SlowFirst } from "./tools/slowFirst.ts";

export default defineConfig({
  test: {
    env: { BENT_NAIL_LOG: "silent" },
    setupFiles: ["tools/generated-runs.ts"],
    include: ["{core,server,cli,demo,app,tools}/**/*.test.ts"],
    // `vitest run NAME` tests what is named, whatever day it is.
    exclude: ["**/node_modules/**", ...unitTestsOfOtherDays(process.argv.slice(3))],
    testTimeout: 600_000,
    hookTimeout: 600_000,
    maxWorkers: 3,
    sequence: { sequencer: SlowFirst },
    // The files of a worker share the modules that they import: no module of ours keeps anything that another file's tests could find.
    isolate: false,
  },
});
