import { sequence } from "../sequence.ts";
import type { InputShape, InputValue } from "./inputShape.ts";
import { type ProposedInput, proposeInputs } from "./proposeInputs.ts";

/** A valid value: at or beside a limit as often as anywhere else. */
function anyValue(value: InputValue, limits: readonly number[], next: () => number): string {
  const pick = <Each>(all: readonly Each[]): Each | undefined => all[Math.floor(next() * all.length)];
  if (value.kind === "choice") return pick(value.choices) ?? "";
  if (value.kind === "text")
    return pick(["Tern", "Gannet", "Puffin", "Skua", "tern", "Auk", "Razorbill", "a"]) ?? "Tern";
  const [from, to] = [value.from ?? -20, value.to ?? 60];
  const step = value.kind === "decimal" ? 0.5 : 1;
  const near = limits
    .flatMap((limit) => [limit - step, limit, limit + step])
    .filter((each) => each >= from && each <= to);
  const anywhere = from + Math.floor(next() * (to - from + 1));
  const number = near.length > 0 && next() < 0.5 ? (pick(near) ?? anywhere) : anywhere;
  return String(
    value.kind === "decimal" && Number.isInteger(number) && next() < 0.5 && number + 0.5 <= to ? number + 0.5 : number,
  );
}

/** One input with every value drawn anew. */
function anyInput(shape: InputShape, limits: ReadonlyMap<string, readonly number[]>, next: () => number): string {
  const typed = new Map<string, string>();
  const counts = new Set(shape.map((value) => value.repeat));
  const lines: string[] = [];
  for (const value of shape) {
    const until = value.repeat.startsWith("until ");
    const said = /^\d+$/.test(value.repeat) ? Number(value.repeat) : Number(typed.get(value.repeat) ?? "1");
    const times = until ? Math.floor(next() * 6) : Number.isInteger(said) && said >= 0 ? Math.min(said, 20) : 0;
    const own = [...(limits.get(value.name) ?? []), ...(limits.get("") ?? [])];
    for (let time = 0; time < times; time++) {
      const few = String(Math.min(value.to ?? 6, Math.max(value.from ?? 0, Math.floor(next() * 7))));
      const text = counts.has(value.name) ? few : anyValue(value, own, next);
      if (time === 0) typed.set(value.name, text);
      lines.push(text);
    }
    if (until) lines.push(value.repeat.slice("until ".length));
  }
  return lines.length === 0 ? "" : `${lines.join("\n")}\n`;
}

/** How soon an input is worth a try: at a limit, beside one, all else. */
const rankOf = ({ purpose }: ProposedInput) =>
  /equal to|the (?:least|greatest) valid/.test(purpose) ? 0 : /just/.test(purpose) ? 1 : 2;

/** Proposals in turn for each value, those about a limit first, so that a few of them already are about all values. */
function valueByValue(proposals: readonly ProposedInput[]): ProposedInput[] {
  const groups = new Map<string, ProposedInput[]>();
  for (const each of proposals) {
    const value = each.name.split(":")[0] ?? "";
    groups.set(value, [...(groups.get(value) ?? []), each]);
  }
  const inOrder = [...groups.values()].map((group) => [...group].sort((one, other) => rankOf(one) - rankOf(other)));
  const longest = Math.max(0, ...inOrder.map((group) => group.length));
  return Array.from({ length: longest }, (_, at) => inOrder.flatMap((group) => group[at] ?? [])).flat();
}

/**
 * At most `most` different valid inputs of a shape, the same ones each time: first those that are worth trying by
 * themselves, then such as chance draws, with a half of the numbers at or beside a limit.
 */
export function generateInputs(
  shape: InputShape,
  limits: ReadonlyMap<string, readonly number[]>,
  most: number,
): string[] {
  if (shape.length === 0) return [];
  const found = new Set(
    valueByValue(proposeInputs(shape, limits).filter((proposal) => proposal.kind !== "erroneous")).map(
      (proposal) => proposal.input,
    ),
  );
  const next = sequence(2026);
  for (let tries = 0; found.size < most && tries < most * 5; tries++) found.add(anyInput(shape, limits, next));
  return [...found].slice(0, most);
}
