// Bundles a TypeScript entry if needed and runs it: node tools/run-entry.mjs e2e/roomData.ts
import { runSource } from "./run-source.mjs";

await runSource(process.argv[2]);
