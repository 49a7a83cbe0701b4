import { readFileSync } from "node:fs";
import { findLanguage } from "../core/languages/languages.ts";
const [, , id, file] = [0, 0, process.env.L ?? "", process.env.F ?? ""];
const language = findLanguage(id as never);
const text = readFileSync(file, "utf8");
const show = (n: { kind: string; sign?: string; role?: string; from: number; to: number; children: readonly unknown[] }, d: number) => {
  console.log(`${" ".repeat(d)}${n.kind} ${n.role ?? ""} ${n.sign ?? ""} «${text.slice(n.from, Math.min(n.to, n.from + 40)).replace(/\n/g, "⏎")}»`);
  for (const c of n.children) show(c as never, d + 1);
};
show((language as never as { syntax: (t: string) => never }).syntax(text), 0);
