import type { InputForms, InputRead } from "../inputReads.ts";

/** The kind of a variable by its declaration anywhere in the program. */
function declaredKind(name: string, program: string): InputRead["kind"] {
  const declared = new RegExp(
    `\\b${name}\\b(?:\\s*,\\s*\\w+)*\\s*:\\s*(?:array\\b[^;]*\\bof\\s+)?(?<type>\\w+)`,
    "iu",
  ).exec(program);
  const type = declared?.groups?.type?.toLowerCase() ?? "";
  if (/^(?:real|single|double|extended|currency)$/.test(type)) return "decimal";
  return /^(?:string|char|ansistring|shortstring)$/.test(type) ? "text" : "whole";
}

/** What a call of ReadLn or Read takes, each name by its declaration. */
function readNames(line: string, program: string): InputRead[] {
  const call = /\bread(?:ln)?\s*\(\s*(?<names>[^)]*)\)/iu.exec(line);
  const names = (call?.groups?.names ?? "").split(",").map((name) => name.trim().replace(/\[.*$/, ""));
  return names
    .filter((name) => /^[a-z_]\w*$/i.test(name) && name.toLowerCase() !== "input")
    .map((name) => ({ name, kind: declaredKind(name, program) }));
}

/** How Object Pascal programs read what is typed in. */
export const pascalInput: InputForms = { severalReads: readNames, oneEqualsCompares: true, reads: [] };
