/** What one read takes from the input: a value with the name that it goes to. */
export type InputRead = { name: string; kind: "whole" | "decimal" | "text" };

/**
 * How a language reads what is typed in. `reads`: forms that read a value on a line of its own, each with a group `name`
 * and what it takes; the first that fits a place counts. `conversions`: forms that make a number of a text that was read
 * before. `kindOf` overrides for languages that say the kind elsewhere.
 */
export type InputForms = {
  reads: ReadonlyArray<{ form: RegExp; kind: InputRead["kind"] }>;
  conversions?: ReadonlyArray<{ form: RegExp; kind: InputRead["kind"] }>;
  /**
   * True where the language's machine may read on behind what the program asked for: that it asked for more than was typed
   * in then tells nothing of a program that ended well.
   */
  readsAhead?: true;
  /** True where a single equals sign compares, since giving a value has a sign of its own. */
  oneEqualsCompares?: true;
  /** Takes the whole line where one form can read several values. */
  severalReads?: (line: string, program: string) => InputRead[];
};

/**
 * What a line of a program reads, in order. A name with an index is that of its list. The program tells what a text is
 * made into later.
 */
export function readsOfLine(forms: InputForms, line: string, program: string): InputRead[] {
  const several = forms.severalReads?.(line, program) ?? [];
  if (several.length > 0) return several;
  for (const { form, kind } of forms.reads) {
    const found = form.exec(line);
    if (!found) continue;
    const name = (found.groups?.name ?? "").replace(/[[({].*$/, "").replace(/^(?:self|this)\./, "");
    const converted = kind === "text" ? convertedTo(forms, name, program) : kind;
    return [{ name: name || promptOf(line) || "value", kind: converted }];
  }
  return [];
}

/** The words of a prompt on the line that reads, where the value goes to no name of its own. */
function promptOf(line: string): string {
  const text = /["']([^"'\\]*)/.exec(line)?.[1] ?? "";
  return text
    .replace(/[^\p{L}\p{N} ]+/gu, " ")
    .trim()
    .toLowerCase()
    .slice(0, 40);
}

function convertedTo(forms: InputForms, name: string, program: string): InputRead["kind"] {
  for (const { form, kind } of forms.conversions ?? [])
    for (const found of program.matchAll(new RegExp(form, "gu"))) if (found.groups?.name === name) return kind;
  return "text";
}
