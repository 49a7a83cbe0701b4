import { readFileSync } from "node:fs";
import { findLanguage } from "../core/languages/languages.ts";
import { editContext } from "../core/edits/context.ts";
import { proposeEdits } from "../core/edits/families.ts";
const rows = JSON.parse(readFileSync(process.env.SET ?? "", "utf8"));
const row = rows.find((r: any) => r.id === process.env.ID).row;
const c = editContext(findLanguage(row.language)!, row.program, [row.expected])!;
for (const e of proposeEdits(c, "mend")) if (!process.env.FAM || e.family === process.env.FAM) console.log(e.family, e.odds, c.lineOf(e.from), JSON.stringify(row.program.slice(e.from, e.to)), "=>", JSON.stringify(e.text));
