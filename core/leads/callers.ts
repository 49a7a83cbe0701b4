import { type LeadRule, ruleDoesNotHold } from "./lead.ts";

/** The calls that led to the failing line: the cause may lie with who called, even further down the file. */
export const callers: LeadRule = ({ verdict }) => {
  const frames = (verdict.diagnostic?.frames ?? []).filter((frame) => frame.own && frame.line !== undefined);
  if (verdict.class !== "runtime") return [];
  // Where the failing function itself has no line, the last call into it is the nearest place that is known.
  return (verdict.reportedLine === null ? frames : frames.slice(0, -1))
    .flatMap((frame) =>
      frame.line === undefined
        ? []
        : [
            {
              ...(frame.file ? { file: frame.file } : {}),
              line: frame.line,
              why: `The failing function was called from here, with the values of this line.${verdict.reportedLine !== null && frame.line > verdict.reportedLine ? ` ${ruleDoesNotHold}` : ""}`,
              weight: 55,
            },
          ],
    )
    .slice(-3);
};
