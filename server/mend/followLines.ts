import { findHunks, mapLines } from "../../core/fixes/hunks.ts";
import type { WholeCase } from "../cases/caseStore.ts";
import type { Version } from "../cases/versionStore.ts";

/** The main file's text of a version. */
export function mainText(version: Version): string {
  return version.files[0]?.text ?? "";
}

/**
 * Where the lines of the first version are in `version`, following the chain of parents, whose texts are all to be
 * loaded. Index 0 is unused.
 */
export function mappingFromFirst(found: WholeCase, version: Version): Array<number | null> {
  const chain: Version[] = [];
  for (let at: Version | undefined = version; at; at = found.loaded.find((each) => each.key === at?.parent))
    chain.unshift(at);
  const [first, ...later] = chain;
  let mapping: Array<number | null> = mainText(first ?? version)
    .split(/\r\n|\n|\r/)
    .map((_, index) => index + 1);
  mapping = [null, ...mapping];
  let previous = first ?? version;
  for (const next of later) {
    const step = mapLines(mainText(previous), findHunks(mainText(previous), mainText(next)));
    mapping = mapping.map((line) => (line === null ? null : (step[line] ?? null)));
    previous = next;
  }
  return mapping;
}
