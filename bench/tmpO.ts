import { readFileSync } from "node:fs";
import { createToolchains } from "../server/toolchains/toolchains.ts";
import { runVariants } from "../server/judge/run.ts";
import { findLanguage } from "../core/languages/languages.ts";
const rows = JSON.parse(readFileSync("/tmp/seth/rows.json", "utf8"));
const r = rows.find((x: {id: string}) => x.id === "h58");
const toolchains = createToolchains();
const language = findLanguage("octave");
if (language) {
const out = await runVariants(toolchains, { language, files: [{ name: "main.m", bytes: Buffer.from(r.program) }], input: r.input }, [{ main: Buffer.from(r.program), input: r.input }, { main: Buffer.from(r.right), input: r.input }], 10);
for (const o of out ?? []) console.log(JSON.stringify(o));
}
await toolchains.close();
