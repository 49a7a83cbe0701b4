import type { InputForms, InputRead } from "../inputReads.ts";

/** What a call of scanf takes: each conversion of its format (C11, 7.21.6.2) with the name that it goes to. */
function scanned(line: string): InputRead[] {
  const call = /\b(?:f?scanf|scanf_s)\s*\((?:\s*stdin\s*,)?\s*"(?<format>(?:[^"\\]|\\.)*)"(?<rest>[^;]*)/u.exec(line);
  if (!call?.groups) return [];
  const conversions = [
    ...(call.groups.format ?? "").matchAll(/%(?<skip>\*)?\d*(?<length>hh?|ll?|L)?(?<letter>[diuoxXfeEgGcs[])/gu),
  ];
  const taken = conversions.filter((each) => each.groups?.skip === undefined);
  const names = [...(call.groups.rest ?? "").matchAll(/&?\s*(?<name>[A-Za-z_]\w*)(?:\s*\[[^\]]*\])?/gu)].map(
    (each) => each.groups?.name ?? "",
  );
  return taken.map((each, index) => {
    const letter = each.groups?.letter ?? "";
    const kind = "feEgG".includes(letter) ? "decimal" : "cs[".includes(letter) ? "text" : "whole";
    return { name: names[index] ?? "value", kind };
  });
}

/** How C programs read what is typed in. */
export const cInput: InputForms = {
  severalReads: scanned,
  reads: [
    { form: /\b(?:fgets|gets)\s*\(\s*(?<name>\w+)/u, kind: "text" },
    { form: /(?<name>\w+)\s*=\s*getchar\s*\(/u, kind: "text" },
  ],
  conversions: [
    { form: /\b(?:atoi|atol|strtol)\s*\(\s*(?<name>\w+)/u, kind: "whole" },
    { form: /\b(?:atof|strtod)\s*\(\s*(?<name>\w+)/u, kind: "decimal" },
  ],
};
