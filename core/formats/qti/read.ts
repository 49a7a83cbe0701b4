import type { PartField, TaskPart } from "../../exercises/asked.ts";
import type { WrittenExercise, WrittenTask } from "../sheetContent.ts";
import { itemSpace, type PackageFile } from "./names.ts";
import { childrenOf, type Element, named, rootOf } from "./tree.ts";

/** What a QTI package says of an exercise: without the kinds of its tasks and the rules by which we mark. */
export type QtiExercise = Omit<WrittenExercise, "total" | "tasks"> & { tasks: QtiTask[] };
export type QtiTask = Omit<WrittenTask, "scheme"> & { scheme: string[] };
export type QtiSheet = { title: string; minutes: number | null; exercises: QtiExercise[] };

const first = (of: Element, name: string): Element | undefined => named(of, name)[0];
const below = (of: Element, name: string): Element[] => childrenOf(of).filter((child) => child.tagName === name);
const classes = (of: Element): string[] => (of.getAttribute("class") ?? "").split(" ");
const withClass = (of: Element | undefined, is: string): Element[] =>
  of ? childrenOf(of).filter((child) => classes(child).includes(is)) : [];
const textIn = (of: Element | undefined): string => of?.textContent ?? "";

const shownIn = (of: Element): { says: string; text: string } => ({
  says: textIn(withClass(of, "says")[0]),
  text: textIn(withClass(of, "text")[0]),
});

function fieldOf(element: Element, starts: Element | undefined): PartField {
  const name = element.getAttribute("data-name") ?? "";
  const says = textIn(first(element, "qti-prompt"));
  if (element.tagName === "qti-choice-interaction") {
    const options = named(element, "qti-simple-choice").map((choice) => ({
      value: choice.getAttribute("data-value") ?? "",
      words: textIn(choice),
    }));
    return { name, says, rows: 1, options };
  }
  return {
    ...{ name, says, rows: Number(element.getAttribute("expected-lines") ?? "1") },
    ...(element.getAttribute("format") === "preformatted" ? { code: true } : {}),
    ...(starts ? { starts: textIn(starts) } : {}),
  };
}

function partOf(block: Element): TaskPart {
  const children = childrenOf(block);
  return {
    says: textIn(withClass(block, "says")[0]),
    shown: children
      .filter((child) => child.tagName === "div")
      .map((child) => {
        const [is, from] = classes(child);
        const firstLine = Number(from?.replace("from-", "") ?? "1");
        return is === "shown-program"
          ? { ...shownIn(child), isProgram: true, ...(firstLine > 1 ? { firstLine } : {}) }
          : shownIn(child);
      }),
    fields: children.flatMap((child, at) => {
      if (!child.tagName.endsWith("-interaction")) return [];
      const next = children[at + 1];
      return [fieldOf(child, next && classes(next).includes("starts") ? next : undefined)];
    }),
  };
}

function taskOf(item: Element): QtiTask {
  const body = first(item, "qti-item-body");
  if (!body) throw new Error("An item has no body.");
  const parts = withClass(body, "part").map(partOf);
  const fields = parts.flatMap((part) => part.fields);
  const right: Record<string, string> = {};
  for (const [at, declared] of named(item, "qti-response-declaration").entries()) {
    const field = fields[at];
    const value = first(declared, "qti-correct-response");
    if (!field || !value) continue;
    const text = textIn(first(value, "qti-value"));
    right[field.name] = field.options?.[Number(text.slice(1)) - 1]?.value ?? text;
  }
  const rubrics = (view: string) =>
    below(body, "qti-rubric-block")
      .filter((block) => block.getAttribute("view") === view)
      .flatMap((block) => named(block, "p").map(textIn));
  const outcome = first(item, "qti-outcome-declaration")?.getAttribute("normal-maximum");
  return {
    ...{
      title: item.getAttribute("title") ?? "",
      marks: Number(outcome ?? "0"),
      rule: rubrics("candidate").join("\n"),
    },
    ...{ parts, right, scheme: rubrics("scorer") },
  };
}

/** What an item shows of its exercise before its task. */
function exerciseOf(section: Element, group: Element, items: readonly Element[]): QtiExercise {
  const body = items[0] && first(items[0], "qti-item-body");
  const [block] = withClass(body, "exercise");
  return {
    ...{ title: section.getAttribute("title") ?? "", section: group.getAttribute("title") ?? "" },
    ...{ language: section.getAttribute("data-language") ?? "", fileName: section.getAttribute("data-file") ?? "" },
    intro: textIn(withClass(block, "intro")[0]),
    userActions: withClass(block, "user-actions").flatMap((list) => named(list, "li").map(textIn)),
    faults: Number(withClass(block, "faults")[0]?.getAttribute("data-faults") ?? "0"),
    program: textIn(withClass(block, "program")[0]),
    files: block
      ? childrenOf(block).flatMap((child) => {
          const [is] = classes(child);
          if (is !== "file" && is !== "no-file") return [];
          return [{ name: child.getAttribute("data-name") ?? "", text: is === "file" ? shownIn(child).text : null }];
        })
      : [],
    given: withClass(block, "given").map(shownIn),
    tasks: items.map(taskOf),
  };
}

/** Reads a package that qtiPackage has written. Throws an Error in words where it is none, or a part of it is missing. */
export function readQti(files: readonly PackageFile[]): QtiSheet {
  const file = (name: string) => {
    const found = files.find((each) => each.name === name);
    if (!found) throw new Error(`The package has no ${name}.`);
    return rootOf(found.text);
  };
  const manifest = file("imsmanifest.xml");
  const test = named(manifest, "resource").find((resource) => resource.getAttribute("type") === "imsqti_test_xmlv3p0");
  const root = file(test?.getAttribute("href") ?? "test.xml");
  if (root.localName !== "qti-assessment-test") throw new Error(`${itemSpace} begins with an assessment test.`);
  const seconds = first(root, "qti-time-limits")?.getAttribute("max-time");
  const [part] = below(root, "qti-test-part");
  return {
    title: root.getAttribute("title") ?? "",
    minutes: seconds ? Number(seconds) / 60 : null,
    exercises: (part ? below(part, "qti-assessment-section") : []).flatMap((group) =>
      below(group, "qti-assessment-section").map((section) =>
        exerciseOf(
          section,
          group,
          below(section, "qti-assessment-item-ref").map((reference) => file(reference.getAttribute("href") ?? "")),
        ),
      ),
    ),
  };
}
