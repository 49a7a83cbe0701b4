import type { LeadRule } from "./lead.ts";

/** The line that the tool named comes first, but it is a lead like the others. */
export const reportedLine: LeadRule = ({ verdict }) =>
  verdict.reportedLine === null ? [] : [{ line: verdict.reportedLine, why: "The tool names this line.", weight: 100 }];
