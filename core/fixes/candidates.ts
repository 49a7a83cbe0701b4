import type { Edit, EditContext } from "../edits/edit.ts";
import { findFamily } from "../edits/families.ts";
import type { Lead } from "../leads/lead.ts";
import type { Seen } from "../leads/signs.ts";
import { fitOf } from "./bySign.ts";
import { worthByFamily } from "./shares.ts";

/** An edit with how promising it is, more being better. */
export type Candidate = { edit: Edit; worth: number };

/** What the first leads weigh among the lines of a program; later ones the last number. Those that are vague weigh less. */
const byRank = [1, 0.85, 0.72, 0.62, 0.55, 0.5, 0.46, 0.43];
const elsewhere = 0.18;

/** How much a lead says by its own weight: one that points at a line weighs all, one of many lines that a value came through less. */
const certainty = (weight: number) => Math.min(1, Math.max(0.45, (weight - 50) / 45));
const neverRan = 0.04;
/** How much more the likelier place of two says in a program that starts, by the count that the shares are of. */
const nearness = 1.5;

/** What a line weighs by its distance from the reported one: a refusal is mostly on it or just above. */
function byDistance(line: number, reported: number | null): number {
  if (reported === null) return elsewhere;
  const distance = line - reported;
  if (distance === 0) return 1;
  if (distance < 0) return distance === -1 ? 0.8 : distance >= -3 ? 0.4 : 0.2;
  return distance === 1 ? 0.35 : 0.15;
}

/** Lines that ran, with the headers of further branches behind those: an earlier branch may have been taken in their place. */
function withBranches(context: EditContext, ran: ReadonlySet<number>): ReadonlySet<number> {
  const reached = new Set(ran);
  for (const { node, around } of context.nodes) {
    const before = around.at(-1);
    if (node.kind !== "if" || node.role !== "otherwise" || before?.kind !== "if") continue;
    if (reached.has(context.lineOf(before.from))) reached.add(context.lineOf(node.from));
  }
  return reached;
}

/**
 * Edits in the order in which they are tried: likely slips first, near the leads. `ran` are the lines that a recorded run
 * went through, where one is known: what never ran made no output wrong. Of lines that are as likely the spectrum decides.
 */
export function rankCandidates(
  context: EditContext,
  edits: readonly Edit[],
  known: {
    leads: readonly Lead[];
    refused: boolean;
    reported: number | null;
    ran?: ReadonlySet<number>;
    /** How much lines speak for being the fault by which runs went through them (spectrum.ts). */
    spectrum?: ReadonlyMap<number, number>;
    /** What is wrong about the result, where a result is. */
    seen?: Seen | null;
  },
): Candidate[] {
  const { writing } = context;
  const weights = new Map<number, number>();
  for (const [rank, lead] of known.leads.filter((each) => each.file === undefined).entries())
    weights.set(
      lead.line,
      Math.max(
        weights.get(lead.line) ?? 0,
        (byRank[Math.min(rank, byRank.length - 1)] ?? elsewhere) * (known.refused ? 1 : certainty(lead.weight)),
      ),
    );
  const reached = known.ran ? withBranches(context, known.ran) : undefined;
  const lineWeight = (line: number): number => {
    const lead = weights.get(line) ?? 0;
    const near = known.refused ? byDistance(line, known.reported) : elsewhere;
    const ran = known.refused || !reached || reached.has(line) ? 1 : neverRan / elsewhere;
    return Math.max(lead, near * ran) * (known.spectrum ? 0.8 + 0.2 * (known.spectrum.get(line) ?? 0) : 1);
  };
  const byFamily = known.refused ? [] : worthByFamily(edits);
  return edits
    .map((edit, at) => {
      const first = context.lineOf(edit.from);
      const last = context.lineOf(Math.max(edit.from, edit.to - 1));
      // Lines that are put in belong to what they stand behind as much as to what they stand before.
      const above =
        edit.from === edit.to && startsLine(context, edit.from) && /[\r\n]$/.test(edit.text) ? first - 1 : first;
      let place = Math.max(lineWeight(first), lineWeight(above));
      for (let line = first + 1; line <= Math.min(last, first + 40); line++)
        place = Math.max(place, lineWeight(line) * 0.9);
      const family = findFamily(edit.family);
      const left = known.refused || writing.variables === "by assignment" ? 1 : (family?.onceRead ?? 1);
      if (edit.about !== undefined) place = Math.max(place, lineWeight(context.lineOf(edit.about)));
      const fit = known.seen ? fitOf(known.seen, edit) : 1;
      const usual = byFamily[at];
      if (usual === undefined) return { edit, worth: (family?.weight ?? 1) * left * edit.odds * place * fit };
      return { edit, worth: usual * (left * place) ** nearness * fit };
    })
    .sort((one, other) => other.worth - one.worth || one.edit.from - other.edit.from);
}

/** True for the beginning of a line. */
function startsLine({ text }: EditContext, offset: number): boolean {
  return offset === 0 || text[offset - 1] === "\n";
}

/** Two edits of one text as the text that both give; null where they touch one another. */
export function applyBoth(text: string, one: Edit, other: Edit): string | null {
  const [first, second] = one.from <= other.from ? [one, other] : [other, one];
  if (first.to >= second.from) return null;
  return (
    text.slice(0, first.from) + first.text + text.slice(first.to, second.from) + second.text + text.slice(second.to)
  );
}
