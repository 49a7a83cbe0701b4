import { findFamily } from "../edits/families.ts";
import { type MessageKind, messageKinds } from "../reading/kinds.ts";
import type { FaultClass } from "../verdict/verdict.ts";
import type { Change, Evidence, GroundRule } from "./pattern.ts";

/**
 * Strengths: a change that mends it says more than a message, and the first change more than the others; what is noticed in the text where the fault
 * is looked for first says about as much as a change.
 */
const strengths = { edit: 30, other: 20, message: 10, noticed: 30, nearby: 22, somewhere: 8 } as const;

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

/** Suggested where the first change that mends it looks so, whatever family it is of. */
export function byChange(test: ChangeTest, more = 0): GroundRule {
  return (evidence) => {
    const [change] = evidence.changes;
    if (!change || !test(change, evidence)) return null;
    return { why: `What mends it changes line ${change.line} in this way.`, strength: strengths.edit + more };
  };
}

/** Suggested by the kind of the message; `words` must stand in it, `of` is the class that the case must have, `test` what else must hold. */
export function byMessage(
  kinds: MessageKind | readonly MessageKind[],
  {
    words,
    of,
    more = 0,
    test = () => true,
  }: { words?: RegExp; of?: FaultClass; more?: number; test?: (evidence: Evidence) => boolean } = {},
): GroundRule {
  const wanted = new Set<string>(typeof kinds === "string" ? [kinds] : kinds);
  return (evidence) => {
    const { message, class: found } = evidence;
    if (!message || message.kind === null || !wanted.has(message.kind)) return null;
    if ((of && of !== found) || (words && !words.test(message.text)) || !test(evidence)) return null;
    return { why: `The message is about this: ${messageKinds[message.kind]}.`, strength: strengths.message + more };
  };
}

/** More for a message that says more than a change would: a stop whose message is about the mistake itself. */
export const sure = 26;

/** Suggested where the text looks like it by one of the rules that look for mistakes in the text, the more the earlier its line is looked at; with `onlyNear` where that is one of the first three alone. */
export function byNotice(ids: string | readonly string[], more = 0, onlyNear = false): GroundRule {
  const wanted = new Set(typeof ids === "string" ? [ids] : ids);
  return ({ noticed }) => {
    const found = noticed.filter(({ id }) => wanted.has(id));
    const [place] = found.sort((one, other) => (one.rank ?? 99) - (other.rank ?? 99));
    if (!place) return null;
    if (onlyNear && (place.rank === null || place.rank > 2)) return null;
    const near = place.rank === 0 ? strengths.noticed : place.rank !== null && place.rank < 3 ? strengths.nearby : null;
    return { why: `Line ${place.line}: ${place.why}`, strength: (near ?? strengths.somewhere) + more };
  };
}

/** Suggested where a test of all that is known gives the line and the reason; `more` beside what a change says. */
export function byText(
  test: (evidence: Evidence) => { line: number | null; why: string } | null,
  more = 0,
): GroundRule {
  return (evidence) => {
    const found = test(evidence);
    if (!found) return null;
    const where = found.line === null ? "" : `Line ${found.line}: `;
    return { why: `${where}${found.why}`, strength: strengths.edit + more };
  };
}

/** Whether a change only puts something in, or only takes something away. */
export const putsIn = ({ before }: Change) => before.trim() === "";
export const takesAway = ({ after }: Change) => after.trim() === "";
