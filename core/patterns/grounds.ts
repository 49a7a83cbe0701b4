import { findFamily } from "../edits/families.ts";
import type { MessageKind } from "../reading/kinds.ts";
import type { FaultClass } from "../verdict/verdict.ts";
import type { Change, Evidence, GroundRule } from "./pattern.ts";

/** Strengths: a change that mends it says more than a message, and the first change more than the others. */
const strengths = { edit: 30, other: 20, message: 10 } as const;

/** What a change looks like beside its family; true where nothing is asked. */
export type ChangeTest = (change: Change, evidence: Evidence) => boolean;

/** Suggested where a change of one of the families mends it; `more` makes it stronger or weaker than others of that family. */
export function byEdit(families: string | readonly string[], test: ChangeTest = () => true, more = 0): GroundRule {
  const wanted = new Set(typeof families === "string" ? [families] : families);
  return (evidence) => {
    const at = evidence.changes.findIndex((change) => wanted.has(change.family) && test(change, evidence));
    const change = evidence.changes[at];
    if (!change) return null;
    const says = findFamily(change.family)?.says ?? change.family;
    return {
      why: `What mends it is about ${says} (line ${change.line}).`,
      strength: (at === 0 ? strengths.edit : strengths.other) + more,
    };
  };
}

/** Suggested by the kind of the message; `words` must stand in it, `of` is the class that the case must have. */
export function byMessage(
  kinds: MessageKind | readonly MessageKind[],
  { words, of, more = 0 }: { words?: RegExp; of?: FaultClass; more?: number } = {},
): GroundRule {
  const wanted = new Set<string>(typeof kinds === "string" ? [kinds] : kinds);
  return ({ message, class: found }) => {
    if (!message || message.kind === null || !wanted.has(message.kind)) return null;
    if ((of && of !== found) || (words && !words.test(message.text))) return null;
    return { why: `The message says that ${sayKind(message.kind)}.`, strength: strengths.message + more };
  };
}

const sayKind = (kind: MessageKind) => `it is about this: ${kind}`;

/** Whether a change only puts something in, or only takes something away. */
export const putsIn = ({ before }: Change) => before.trim() === "";
export const takesAway = ({ after }: Change) => after.trim() === "";
