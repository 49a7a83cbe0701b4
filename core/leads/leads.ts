import type { Language } from "../languages/language.ts";
import { tokensByLine } from "../languages/lexical.ts";
import type { Diagnostic, Outcome } from "../outcome/outcome.ts";
import { lineTexts } from "../source/lines.ts";
import type { Trace } from "../trace/trace.ts";
import type { Verdict } from "../verdict/verdict.ts";
import { arrowToken } from "./arrowToken.ts";
import { blankCanvas } from "./blankCanvas.ts";
import { callers } from "./callers.ts";
import { chance } from "./chance.ts";
import { changedSince } from "./changedSince.ts";
import { declaredOtherwise } from "./declaredOtherwise.ts";
import { declaredWithoutValue } from "./declaredWithoutValue.ts";
import { definitions } from "./definitions.ts";
import { endlessLoop } from "./endlessLoop.ts";
import { endOfFunction } from "./endOfFunction.ts";
import { firstWrongOutput } from "./firstWrongOutput.ts";
import { unheardButton, wrongForm } from "./formLeads.ts";
import { foundPlace } from "./foundPlace.ts";
import { givenInSomeBranches } from "./givenInSomeBranches.ts";
import { indentation } from "./indentation.ts";
import type { Lead, LeadContext, LeadRule } from "./lead.ts";
import { leftInInput } from "./leftInInput.ts";
import { lineAbove } from "./lineAbove.ts";
import { mistakesInText } from "./mistakesInText.ts";
import { neverRan } from "./neverRan.ts";
import { noticed } from "./noticed.ts";
import { reportedLine } from "./reportedLine.ts";
import { siblings } from "./siblings.ts";
import { signsInResult } from "./signs.ts";
import { similarNames } from "./similarNames.ts";
import { unpairedSigns } from "./unpairedSigns.ts";
import { unsetValue } from "./unsetValue.ts";
import { warnings } from "./warnings.ts";

/** Every rule; a new one is one file and one line here. */
const rules: readonly LeadRule[] = [
  changedSince,
  reportedLine,
  unpairedSigns,
  givenInSomeBranches,
  declaredOtherwise,
  declaredWithoutValue,
  endOfFunction,
  indentation,
  arrowToken,
  lineAbove,
  siblings,
  similarNames,
  definitions,
  callers,
  firstWrongOutput,
  warnings,
  noticed,
  endlessLoop,
  foundPlace,
  neverRan,
  mistakesInText,
  leftInInput,
  signsInResult,
  unsetValue,
  chance,
  blankCanvas,
  unheardButton,
  wrongForm,
];

/** What is worth a look where no fault is shown. */
const remarks: readonly LeadRule[] = [
  changedSince,
  warnings,
  noticed,
  endlessLoop,
  neverRan,
  unsetValue,
  chance,
  blankCanvas,
  unheardButton,
];

/** The suspected lines of a program in ranked order, one entry a line with all its reasons, at most `limit`. */
export function findLeads(
  observed: {
    language: Language;
    program: string;
    verdict: Verdict;
    outcome?: Outcome;
    trace?: Trace;
    working?: string;
    mainName?: string;
    warned?: readonly Diagnostic[];
  },
  limit = 8,
): Lead[] {
  const tokens = observed.language.tokens(observed.program);
  const codeLines = tokensByLine(tokens);
  const context: LeadContext = {
    ...observed,
    text: lineTexts(observed.program),
    tokens,
    codeLines,
    warned: observed.warned ?? [],
  };
  const lookedAt = observed.verdict.reportedFile ?? observed.mainName;
  const byPlace = new Map<string, Lead>();
  const found = (observed.verdict.class === null ? remarks : rules).flatMap((rule) => rule(context));
  for (const each of found) {
    // What names no file is about the text that was looked at.
    const { file = observed.verdict.reportedFile ?? undefined, ...rest } = each;
    // A message about another version may name lines that this one does not have.
    if ((file === undefined || file === lookedAt) && each.line > context.text.length) continue;
    const lead: Lead = file === undefined || file === observed.mainName ? rest : { file, ...rest };
    const place = `${lead.line} ${lead.file ?? ""}`;
    const known = byPlace.get(place);
    if (!known) byPlace.set(place, { ...lead });
    else if (!known.why.includes(lead.why))
      byPlace.set(place, {
        ...known,
        why: lead.weight > known.weight ? `${lead.why} ${known.why}` : `${known.why} ${lead.why}`,
        weight: Math.max(known.weight, lead.weight) + 5,
      });
  }
  return [...byPlace.values()].sort((one, other) => other.weight - one.weight || one.line - other.line).slice(0, limit);
}
