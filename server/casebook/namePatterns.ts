import { patterns } from "../../core/patterns/patterns.ts";
import { listOwnPatterns } from "../cases/ownPatternStore.ts";
import type { Query } from "../database/database.ts";

/** The kinds of mistake that can be chosen: those that ship, by name, and the teacher's own. */
export async function choosablePatterns(query: Query): Promise<Array<{ id: string; name: string; own: boolean }>> {
  const own = await listOwnPatterns(query);
  return [
    ...own.map(({ id, name }) => ({ id, name, own: true })),
    ...patterns
      .map(({ id, name }) => ({ id, name, own: false }))
      .sort((one, other) => one.name.localeCompare(other.name)),
  ];
}
