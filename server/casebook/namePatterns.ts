import { findPattern, patterns } from "../../core/patterns/patterns.ts";
import { findOwnPattern, listOwnPatterns } from "../cases/ownPatternStore.ts";
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

/** The name of a kind of mistake, a teacher's own as well; its id where nobody knows it. */
export async function namePattern(query: Query, id: string): Promise<string> {
  const own = /^own\/(.+)$/.exec(id)?.[1];
  return (own === undefined ? findPattern(id)?.name : (await findOwnPattern(query, own))?.name) ?? id;
}
