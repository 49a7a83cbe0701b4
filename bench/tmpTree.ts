import { readFileSync } from "node:fs";
import { findLanguage } from "../core/languages/languages.ts";
import { editContext } from "../core/edits/context.ts";
const [, , id, file] = ["", "", process.env.L ?? "", process.env.F ?? ""];
const language = findLanguage(id ?? "");
const c = language && editContext(language, readFileSync(file ?? "", "utf8"));
const show = (n: any, d: number): void => { console.log(" ".repeat(d) + [n.kind, n.role ?? "", n.sign ?? ""].join(" ")); for (const x of n.children) show(x, d + 1); };
if (c) show(c.tree, 0);
