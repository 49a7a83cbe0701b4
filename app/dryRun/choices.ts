import type { WholeCase } from "../../server/cases/caseStore.ts";
import type { Choice } from "./RunChoice.tsx";

/** The versions and checks of a case, as they can be chosen for a run. */
export function choicesOf(found: WholeCase): { versions: Choice[]; checks: Choice[] } {
  return {
    versions: found.versions.map((version) => ({ key: version.key, name: `${version.number} (${version.origin})` })),
    checks: found.checks.map((check, at) => ({
      key: check.key,
      name: check.handed_in ? "the run as handed in" : `check ${at + 1} (${check.kind})`,
    })),
  };
}
