import { linesThatRan, neverRanStretches } from "../trace/neverRan.ts";
import type { LeadRule } from "./lead.ts";

/** Stretches that are named. */
const most = 4;

/** Where a whole run shows no fault: lines that it never came to, by stretches. A fault in them is not seen yet. */
export const neverRan: LeadRule = ({ verdict, trace, language, text }) => {
  const ran = verdict.class === null && trace?.outcome.finished ? linesThatRan(trace) : null;
  if (!ran) return [];
  return neverRanStretches(language, text.join("\n"), ran)
    .slice(0, most)
    .map((stretch) => {
      const words =
        stretch.function !== null
          ? `${stretch.function} was never called`
          : `${stretch.to === stretch.from ? "This line" : `Lines ${stretch.from} to ${stretch.to}`} never ran in this run`;
      return { line: stretch.from, why: `${words}, so nothing is known of it yet.`, weight: 30 };
    });
};
