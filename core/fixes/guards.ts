import { editContext } from "../edits/context.ts";
import { applyEdit, type EditContext } from "../edits/edit.ts";
import { guarded } from "../edits/guarded.ts";
import type { Language } from "../languages/language.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import { explain } from "../reading/explain.ts";
import type { MessageKind } from "../reading/kinds.ts";
import { lineTexts } from "../source/lines.ts";
import { nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";

/**
 * What a program can ask before an operation that fails for some values. `condition`: what must hold, in the program's own
 * language; `text`: the whole program with the statement asked for first; null where the guard is more than one small
 * change. `handler`: whether catching the failure fits, because what fails comes from outside of the program, or would only
 * mask it, with the reason.
 */
export type Guard = {
  operation: Operation;
  line: number;
  says: string;
  condition: string | null;
  text: string | null;
  handler: { fits: boolean; because: string };
};
export type Operation = "division" | "place in a list" | "nothing there" | "conversion" | "file" | "key" | "other";

/** Which operation failed, by what a message is about. */
const operations: Partial<Record<MessageKind, Operation>> = {
  "division by zero": "division",
  "file missing": "file",
  "key missing": "key",
  conversion: "conversion",
  "index out of range": "place in a list",
  "empty reference": "nothing there",
  "memory misused": "nothing there",
};

const fromOutside =
  "What comes from outside (typed in, a file, a network) can always be otherwise: catch just this failure, say so in words and ask again, or end well.";
const ownFault =
  "The program can know this before: catching it would only mask the fault, and with it every other one of its kind.";

/** The condition under which an operation on a line does not fail, where the tree shows what it works with. */
function conditionAt(
  context: EditContext,
  line: number,
  operation: Operation,
): { node: SyntaxNode; text: string } | null {
  const { writing, language } = context;
  const own = nodesOf(context.tree).filter((node) => context.lineOf(node.from) === line);
  const { divides } = writing;
  for (const node of own) {
    if (operation === "division" && node.kind === "binary") {
      const right = part(node, "right");
      if (!right || ![divides.decimal, divides.whole, divides.rest].includes(node.sign ?? null)) continue;
      if (right.kind !== "number") return { node, text: `${context.sourceOf(right)} ${writing.unequal} 0` };
    }
    if (operation === "place in a list" && node.kind === "index" && writing.lengthOf) {
      const [object, index] = [part(node, "object"), part(node, "argument")];
      if (!object || !index || index.kind === "number") continue;
      const [place, length] = [context.sourceOf(index), writing.lengthOf(context.sourceOf(object))];
      const first = language.profile.firstIndex === 1 ? 1 : 0;
      return {
        node,
        text: `(${place} >= ${first}) ${writing.and} (${place} ${first === 1 ? "<=" : "<"} ${length})`,
      };
    }
    if (operation === "nothing there" && writing.nothing) {
      const object = node.kind === "field" ? part(node, "object") : undefined;
      if (object?.kind === "name")
        return { node, text: `${context.sourceOf(object)} ${writing.unequal} ${writing.nothing}` };
    }
  }
  return null;
}

/** The program with the statement around a place asked for first; null where that is more than one small change. */
function guardedText(context: EditContext, node: SyntaxNode, condition: string): string | null {
  const around = context.nodes.find((each) => each.node === node)?.around ?? [];
  const put = guarded(context, [...around, node], condition);
  return put && applyEdit(context.text, put);
}

const words: Readonly<Record<Operation, string>> = {
  division: "Ask first whether what is divided by is 0, and say what is to come out then.",
  "place in a list": "Ask first whether there is such a place, or go only to the last one.",
  "nothing there": "Ask first whether there is anything, or see that there always is.",
  conversion:
    "What is typed in is no number here: look at it before it is made one, or catch just this failure and ask again.",
  file: "Ask first whether the file is there, or catch just this failure and say which file is missing.",
  key: "Ask first whether there is such a key.",
  other: "Look at what this line is given, and ask before it whether that is possible.",
};

/** What can be asked before a stop (`diagnostic`, with its line) of a program. */
export function guardOf(language: Language, text: string, diagnostic: Diagnostic): Guard | null {
  const { line } = diagnostic;
  if (line === undefined) return null;
  const kind = explain(language, diagnostic, lineTexts(text))?.kind;
  const operation = (kind && operations[kind]) ?? "other";
  const context = editContext(language, text);
  const found = context && conditionAt(context, line, operation);
  const fits = operation === "conversion" || operation === "file";
  return {
    ...{ operation, line },
    says: words[operation],
    condition: found?.text ?? null,
    text: found ? guardedText(context, found.node, found.text) : null,
    handler: { fits, because: fits ? fromOutside : ownFault },
  };
}
