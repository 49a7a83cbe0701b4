import { readUnit } from "./declarations.ts";
import { formEnding, guessedControls, readDesigned, readFormFile } from "./forms.ts";
import { type Control, declaredTypes, escaped, type Program, pathOf } from "./program.ts";
import type { Container, Problem, Routine, Unit } from "./tree.ts";
import { writeUnit } from "./writeProgram.ts";

/**
 * A program as it is run: each of its files as a text in C# in which every line has its number (`texts`, null for files that hold no program), what
 * is refused, by file, and what stands on its form.
 */
export type TranslatedBasic = {
  texts: Array<string | null>;
  problems: Array<Problem & { file: number }>;
  /** The form that is shown first, and what stands on it; null for a program without one. */
  form: { name: string; controls: readonly Control[] } | null;
};

/** Ends the lines that are the student's: what stands below belongs to nobody, and no step is made of it. */
const hidden = "\n#line hidden\n";

const isDesigned = (name: string): boolean => /\.designer\.vb$/i.test(name);
const isProgram = (name: string, at: number): boolean => at === 0 || /\.vb$/i.test(name);

const formsOf = (unit: Unit): Container[] =>
  unit.members.flatMap((member) => {
    if (member.kind !== "class") return [];
    const isForm = /(?:^|\.)form$/i.test(member.base?.name ?? "");
    const hears = member.members.some((each) => each.kind === "routine" && each.handles.length > 0);
    return isForm || hears || (member.base === null && /^form\d*$/i.test(member.name)) ? [member] : [];
  });

/** A file that is nothing but routines of a form, as students hand them in, in the class that is missing around it; else as it is. */
function wrapped(unit: Unit): Unit {
  const loose = unit.members.filter(
    (member) => member.kind === "routine" || member.kind === "field" || member.kind === "property",
  );
  const hears = loose.some((member) => member.kind === "routine" && member.handles.length > 0);
  if (!hears || loose.length !== unit.members.length) return unit;
  const place = { line: 1, column: 1, length: 1 };
  const last = Math.max(...loose.map((member) => ("endLine" in member ? member.endLine : member.place.line)));
  const form: Container = {
    outer: null,
    halves: [],
    kind: "class",
    name: "Form1",
    place,
    modifiers: new Set(["public"]),
    base: null,
    members: loose,
    endLine: last,
  };
  return { ...unit, members: [form] };
}

/** The class of a form that an editor's part may belong to. */
const designOf = (name: string): string =>
  (/^(.*?)\.designer\.vb$/i.exec(name.split("/").at(-1) ?? "")?.[1] ?? "").toLowerCase();

/** Translates a program. `files`: the one that it starts in first. */
export function translateBasic(files: ReadonlyArray<{ name: string; text: string }>): TranslatedBasic {
  const problems: TranslatedBasic["problems"] = [];
  const add = (file: number, found: readonly Problem[]) => problems.push(...found.map((each) => ({ ...each, file })));
  const read = files.map(({ name, text }, at) => {
    if (!isProgram(name, at) || isDesigned(name)) return null;
    const found: Problem[] = [];
    const unit = wrapped(readUnit(text, found));
    add(at, found);
    return unit;
  });
  const units = read.flatMap((unit) => (unit ? [unit] : []));
  const said = files.map(({ name, text }) => (name.toLowerCase().endsWith(formEnding) ? readFormFile(text) : null));
  for (const [at, form] of said.entries())
    for (const { line, says } of form?.problems ?? [])
      add(at, [
        {
          place: { line, column: 1, length: 1 },
          code: "BN30002",
          says: `What stands on the form is not understood: ${says}.`,
          severity: "error",
        },
      ]);
  const forms = new Map<string, readonly Control[]>();
  for (const [at, unit] of read.entries())
    for (const form of unit ? formsOf(unit) : []) {
      const designed = files.find(({ name }) => isDesigned(name) && designOf(name) === form.name.toLowerCase());
      const listed = said.map((each) => each?.forms.get(form.name.toLowerCase())).find(Boolean);
      const own = files[at]?.text ?? "";
      const written = readDesigned(own);
      forms.set(
        form.name.toLowerCase(),
        listed ??
          (designed ? readDesigned(designed.text) : null) ??
          (written.length > 0 ? written : guessedControls(own, unit ?? emptyUnit, form)),
      );
    }
  const { types, modules } = declaredTypes(units);
  const program: Program = { units, types, modules, forms };
  const count = { made: 0 };
  const texts = read.map((unit, at) => {
    if (!unit) return null;
    const found: Problem[] = [];
    const lines = writeUnit(program, unit, (files[at]?.text.split(/\r\n|\n|\r/) ?? []).length, found, count);
    add(at, found);
    // What lists can be asked for besides (sums, the largest) is known without being imported.
    return `using System.Linq; ${lines.join("\n")}`;
  });
  const first = entryOf(read, problems);
  const shown = first && "form" in first ? first.form : null;
  const tail = [...formParts(program, units), first ? starter(first) : ""].join("\n");
  if (texts[0] !== null && texts[0] !== undefined) texts[0] += `${hidden}${tail}\n`;
  problems.sort(
    (one, other) => one.file - other.file || one.place.line - other.place.line || one.place.column - other.place.column,
  );
  return {
    texts,
    problems,
    form: shown ? { name: shown.name, controls: forms.get(shown.name.toLowerCase()) ?? [] } : null,
  };
}

const emptyUnit: Unit = { strict: false, explicit: true, infer: true, imports: [], members: [] };

type Entry = { main: Routine; of: Container } | { form: Container };

/** Where a program begins: its Sub Main, else its form. Without either it is refused (BC30420). */
function entryOf(read: ReadonlyArray<Unit | null>, problems: TranslatedBasic["problems"]): Entry | null {
  const units = read.flatMap((unit) => (unit ? [unit] : []));
  const mains = units.flatMap(({ members }) =>
    members.flatMap((member) =>
      member.kind === "module" || member.kind === "class"
        ? member.members.flatMap((each) =>
            each.kind === "routine" &&
            each.name.toLowerCase() === "main" &&
            (member.kind === "module" || each.modifiers.has("shared"))
              ? [{ main: each, of: member }]
              : [],
          )
        : [],
    ),
  );
  if (mains[0]) return mains[0];
  const form = units.flatMap(formsOf)[0];
  if (form) return { form };
  // What cannot be read may have hidden it.
  if (problems.length === 0)
    problems.push({
      file: 0,
      place: { line: 1, column: 1, length: 1 },
      code: "BC30420",
      says: "'Sub Main' was not found: there is nothing to start in.",
      severity: "error",
    });
  return null;
}

/** What stands on forms, and who answers to it. */
function formParts(program: Program, units: readonly Unit[]): string[] {
  return units.flatMap(formsOf).map((form) => {
    const controls = program.forms.get(form.name.toLowerCase()) ?? [];
    const fields = controls.map(
      ({ name, kind, text }) =>
        `public BentNail.Basic.${kind} ${escaped(name)} = new BentNail.Basic.${kind} { Name = ${JSON.stringify(name)}, Text = ${JSON.stringify(text ?? "")} };`,
    );
    const added = controls.map(({ name }) => `Controls.Add(${escaped(name)});`);
    const heard = form.members.flatMap((member) => {
      if (member.kind !== "routine") return [];
      const call = `${escaped(member.name)}(${["sender", "e"].slice(0, member.parameters.length).join(", ")})`;
      return member.handles.map(({ control, event }) => {
        const known = controls.find((each) => each.name.toLowerCase() === control.toLowerCase());
        return `${known ? escaped(known.name) : "this"}.${canonical(event)} += (sender, e) => ${call};`;
      });
    });
    return `public partial class ${escaped(form.name)} { ${fields.join(" ")} protected override void Wire() { Name = ${JSON.stringify(form.name)}; ${[...added, ...heard].join(" ")} } public void InitializeComponent() { } }`;
  });
}

const events = ["Click", "TextChanged", "CheckedChanged", "SelectedIndexChanged", "ValueChanged", "Load", "Tick"];
const canonical = (event: string): string => events.find((each) => each.toLowerCase() === event.toLowerCase()) ?? event;

function starter(entry: Entry): string {
  const begin =
    "form" in entry
      ? `BentNail.Basic.Player.Play(() => new ${pathOf(entry.form)}());`
      : `${pathOf(entry.of)}.${escaped(entry.main.name)}(${entry.main.parameters.length > 0 ? "new string[0]" : ""});`;
  return `static class __BentNailStart { static void Main() { BentNail.Basic.Screen.Begin(); ${begin} } }`;
}
