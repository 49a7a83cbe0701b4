import type { PartField } from "../../exercises/asked.ts";
import { type SheetToWrite, type WrittenExercise, type WrittenTask, writtenExercises } from "../sheetContent.ts";
import { itemSpace, oneLine, type PackageFile, packageSpace, sayable } from "./names.ts";
import { isScored, notSaid } from "./notSaid.ts";
import { newDocument, type Written } from "./tree.ts";

/** Words as a paragraph, or lines as they stand. */
const paragraph = (at: Written, text: string, is = "") => at.ele("p", is ? { class: is } : {}).txt(sayable(text));
const verbatim = (at: Written, text: string, is: string) => at.ele("pre", { class: is }).txt(sayable(text));

/** A text with words above it; `name`: of the file that it is. */
function shown(at: Written, is: string, says: string, text: string | null, name?: string): void {
  const block = at.ele("div", { class: is, ...(name === undefined ? {} : { "data-name": oneLine(name) }) });
  paragraph(block, says, "says");
  if (text !== null) verbatim(block, text, "text");
}

/** What an exercise shows before any task. */
function exerciseBlock(body: Written, exercise: WrittenExercise): void {
  const block = body.ele("div", { class: "exercise" });
  if (exercise.intro !== "") paragraph(block, exercise.intro, "intro");
  if (exercise.userActions.length > 0) {
    const list = block.ele("ul", { class: "user-actions" });
    for (const action of exercise.userActions) list.ele("li").txt(sayable(action));
  }
  block
    .ele("p", { class: "faults", "data-faults": String(exercise.faults) })
    .txt(exercise.faults === 1 ? "There is one fault in it." : `There are ${exercise.faults} faults in it.`);
  verbatim(block, exercise.program, "program");
  for (const { name, text } of exercise.files)
    if (text === null) shown(block, "no-file", `There is no file ${name}.`, null, name);
    else shown(block, "file", `Beside the program lies ${name}:`, text, name);
  for (const { says, text } of exercise.given) shown(block, "given", says, text);
}

const choiceName = (at: number) => `C${at + 1}`;

/** A field as an interaction; choices keep their values beside their names. */
function interaction(at: Written, field: PartField, response: string): void {
  const names = { "response-identifier": response, "data-name": oneLine(field.name) };
  if (field.options) {
    const choice = at.ele("qti-choice-interaction", { ...names, "max-choices": "1", shuffle: "false" });
    choice.ele("qti-prompt").txt(sayable(field.says));
    for (const [place, { value, words }] of field.options.entries())
      choice
        .ele("qti-simple-choice", { identifier: choiceName(place), "data-value": oneLine(value) })
        .txt(sayable(words));
    return;
  }
  const text = at.ele("qti-extended-text-interaction", {
    ...{ ...names, "expected-lines": String(field.rows), format: field.code ? "preformatted" : "plain" },
  });
  text.ele("qti-prompt").txt(sayable(field.says));
  // What stands in the field at first cannot be said of a response; it is shown above it.
  if (field.starts !== undefined) verbatim(at, field.starts, "starts");
}

function declaration(item: Written, field: PartField, response: string, right: string | undefined): void {
  const declared = item.ele("qti-response-declaration", {
    ...{ identifier: response, cardinality: "single", "base-type": field.options ? "identifier" : "string" },
  });
  const place = field.options?.findIndex(({ value }) => value === right) ?? -1;
  const correct = field.options ? (place < 0 ? undefined : choiceName(place)) : right;
  if (correct !== undefined) declared.ele("qti-correct-response").ele("qti-value").txt(sayable(correct));
}

/** One task as an item: it can be sat alone, so the program stands in each. */
function itemOf(exercise: WrittenExercise, task: WrittenTask, identifier: string): string {
  const { root: item, text } = newDocument(itemSpace, "qti-assessment-item", {
    ...{ identifier, title: oneLine(task.title), adaptive: "false", "time-dependent": "false", "xml:lang": "en" },
  });
  const fields = task.parts.flatMap((part) => part.fields);
  const responses = new Map(fields.map((field, at) => [field, `R${at + 1}`]));
  for (const [field, response] of responses) declaration(item, field, response, task.right[field.name]);
  item
    .ele("qti-outcome-declaration", {
      ...{ identifier: "SCORE", cardinality: "single", "base-type": "float", "normal-maximum": String(task.marks) },
    })
    .ele("qti-default-value")
    .ele("qti-value")
    .txt("0");
  const body = item.ele("qti-item-body");
  exerciseBlock(body, exercise);
  for (const part of task.parts) {
    const block = body.ele("div", { class: "part" });
    if (part.says !== "") paragraph(block, part.says, "says");
    for (const { says, text, isProgram, firstLine } of part.shown) {
      const is = isProgram ? `shown-program from-${firstLine ?? 1}` : "shown";
      shown(block, is, says, text);
    }
    for (const field of part.fields) interaction(block, field, responses.get(field) ?? "");
  }
  rubric(body, "candidate", [task.rule]);
  rubric(
    body,
    "scorer",
    task.scheme.map(({ item: name, marks, words }) => `${name} (${marks}): ${words}`),
  );
  if (isScored(task)) scored(item, task.marks);
  return text();
}

function rubric(body: Written, view: "candidate" | "scorer", lines: readonly string[]): void {
  const block = body.ele("qti-rubric-block", { use: view === "scorer" ? "scoring" : "instructions", view });
  const content = block.ele("qti-content-body");
  for (const line of lines) paragraph(content, line);
}

/** All marks for the one right choice. */
function scored(item: Written, marks: number): void {
  const when = item.ele("qti-response-processing").ele("qti-response-condition").ele("qti-response-if");
  const match = when.ele("qti-match");
  match.ele("qti-variable", { identifier: "R1" });
  match.ele("qti-correct", { identifier: "R1" });
  when
    .ele("qti-set-outcome-value", { identifier: "SCORE" })
    .ele("qti-base-value", { "base-type": "float" })
    .txt(String(marks));
}

/**
 * A sheet as a QTI 3.0 package: a test whose sections are the exercises, and an item for each task. The last file lists in
 * plain words what QTI cannot say of the sheet.
 */
export function qtiPackage(sheet: SheetToWrite): PackageFile[] {
  const exercises = writtenExercises(sheet);
  const items: PackageFile[] = [];
  const { root, text } = newDocument(itemSpace, "qti-assessment-test", {
    identifier: "sheet",
    title: oneLine(sheet.title),
  });
  if (sheet.minutes) root.ele("qti-time-limits", { "max-time": String(sheet.minutes * 60) });
  const part = root.ele("qti-test-part", {
    ...{ identifier: "all", "navigation-mode": "nonlinear", "submission-mode": "simultaneous" },
  });
  let group = part;
  for (const [at, exercise] of exercises.entries()) {
    if (at === 0 || exercise.section !== exercises[at - 1]?.section)
      group = part.ele("qti-assessment-section", {
        ...{
          identifier: `part-${at + 1}`,
          title: oneLine(exercise.section),
          visible: String(exercise.section !== ""),
        },
      });
    const section = group.ele("qti-assessment-section", {
      ...{ identifier: `exercise-${at + 1}`, title: oneLine(exercise.title), visible: "true" },
      ...{ "data-language": exercise.language, "data-file": oneLine(exercise.fileName) },
    });
    for (const [place, task] of exercise.tasks.entries()) {
      const identifier = `exercise-${at + 1}-task-${place + 1}`;
      const name = `items/${identifier}.xml`;
      section.ele("qti-assessment-item-ref", { identifier, href: name });
      items.push({ name, text: itemOf(exercise, task, identifier) });
    }
  }
  return [
    { name: "imsmanifest.xml", text: manifestOf(items) },
    { name: "test.xml", text: text() },
    ...items,
    { name: "not-said.txt", text: `${notSaid(exercises).join("\n")}\n` },
  ];
}

function manifestOf(items: readonly PackageFile[]): string {
  const { root: manifest, text } = newDocument(packageSpace, "manifest", { identifier: "package" });
  const metadata = manifest.ele("metadata");
  metadata.ele("schema").txt("QTI Package");
  metadata.ele("schemaversion").txt("3.0.0");
  manifest.ele("organizations");
  const resources = manifest.ele("resources");
  const identifierOf = ({ name }: PackageFile) => name.replace(/^items\/|\.xml$/g, "");
  const test = resources.ele("resource", { identifier: "test", type: "imsqti_test_xmlv3p0", href: "test.xml" });
  test.ele("file", { href: "test.xml" });
  for (const item of items) test.ele("dependency", { identifierref: identifierOf(item) });
  for (const item of items)
    resources
      .ele("resource", { identifier: identifierOf(item), type: "imsqti_item_xmlv3p0", href: item.name })
      .ele("file", { href: item.name });
  return text();
}
