import { readFileSync } from "node:fs";
import { findLanguage } from "../core/languages/languages.ts";
import { editContext } from "../core/edits/context.ts";
import { proposeEdits } from "../core/edits/families.ts";
const rows = JSON.parse(readFileSync("/tmp/seti/rows.json", "utf8"));
for (const [id, fam] of [["i42","declaration"],["i31","accumulation"],["i34",""]] as const) {
const r = rows.find((x: { id: string }) => x.id === id);
const c = editContext(findLanguage(r.language)!, r.program)!;
console.log(id, c.nodes.some((n) => n.node.kind === "error"), proposeEdits(c, id === "i31" ? "mend" : "mend a refusal").filter((e) => e.family === fam).map((e) => [c.lineOf(e.from), e.text, e.odds]).slice(0, 30).join(" | "));
}
