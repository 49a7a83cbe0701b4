// Writes the demo's class set as a zip: node tools/make-class-set.mjs FILE.zip. Used by the browser tests.
import { runSource } from "./run-source.mjs";

await runSource("demo/classSet/write.ts");
