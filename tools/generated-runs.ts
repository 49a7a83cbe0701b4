import fc from "fast-check";

/** Generated cases a property is tried on: 100, or many more for `npm run test:long`. */
fc.configureGlobal({ numRuns: process.env.BENT_NAIL_LONG ? 5000 : 100 });
