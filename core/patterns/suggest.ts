import type { Evidence, Ground, Pattern } from "./pattern.ts";
import { patterns } from "./patterns.ts";

/** A pattern that is suggested for a case: its id and name, and why. */
export type Suggested = { id: string; name: string; why: string };

/** Patterns that are suggested at most. */
const most = 5;

/** The kinds of mistake that the evidence suggests, the best ground first; several can apply, and none may. `own`: those that a teacher added. */
export function suggestPatterns(evidence: Evidence, own: readonly Pattern[] = []): Suggested[] {
  return [...own, ...patterns]
    .map(({ id, name, grounds }) => {
      const found = grounds.map((rule) => rule(evidence)).filter((ground): ground is Ground => ground !== null);
      const best = found.reduce<Ground | null>(
        (one, other) => (one && one.strength >= other.strength ? one : other),
        null,
      );
      return { id, name, best };
    })
    .filter((each): each is { id: string; name: string; best: Ground } => each.best !== null)
    .sort((one, other) => other.best.strength - one.best.strength)
    .slice(0, most)
    .map(({ id, name, best }) => ({ id, name, why: best.why }));
}
