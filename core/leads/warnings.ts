import type { LeadRule } from "./lead.ts";

/** Warnings never decide a class, but some faults of logic are seen in nothing else. */
export const warnings: LeadRule = ({ verdict, warned }) =>
  verdict.class === "syntax"
    ? []
    : warned
        .flatMap((warning) =>
          warning.line === undefined
            ? []
            : [
                {
                  line: warning.line,
                  why: `The translator warns here: ${warning.message.split("\n")[0]}.`,
                  weight: verdict.class === null ? 40 : 72,
                },
              ],
        )
        .slice(0, 6);
