import { familyOf } from "../../core/edits/familyOf.ts";
import type { Hunk } from "../../core/fixes/hunks.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import { evidenceOf, type FoundChange } from "../../core/patterns/evidence.ts";
import { patternOfOwn } from "../../core/patterns/ownPattern.ts";
import type { Pattern } from "../../core/patterns/pattern.ts";
import { suggestPatterns } from "../../core/patterns/suggest.ts";
import { explain } from "../../core/reading/explain.ts";
import { signatureOf } from "../../core/reading/signature.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { messageOf } from "../../core/verdict/words.ts";
import type { WholeCase } from "../cases/caseStore.ts";
import { type Finding, saveFinding } from "../cases/findingStore.ts";
import { listOwnPatterns } from "../cases/ownPatternStore.ts";
import type { Database } from "../database/database.ts";
import { languageOf, type VersionJudgement } from "./judge.ts";

/** What the evidence says of a judged version. `fixes`: what a search found, best first; null where none was made. */
export function findingOf(
  found: WholeCase,
  judged: Pick<VersionJudgement, "version" | "deciding">,
  fixes: readonly FoundChange[] | null,
  own: readonly Pattern[] = [],
): Finding {
  const language = languageOf(found);
  const { judgement } = judged.deciding;
  const { diagnostic } = judgement;
  const main = judged.version.files[0]?.text ?? "";
  const { check, outcome } = judged.deciding;
  const outputs =
    check.expected === null || !outcome
      ? null
      : { intended: check.expected, printed: consoleText(outcome.console, ["out"]) };
  const evidence = evidenceOf(language, main, judgement, fixes ?? [], outputs);
  return {
    ...{ version: judged.version.key, faultyCase: found.key, class: judgement.class, kind: judgement.kind },
    symptom: judgement.symptom,
    message: diagnostic ? messageOf(diagnostic) : "",
    messageKind: diagnostic ? (explain(language, diagnostic, lineTexts(main))?.kind ?? null) : null,
    signature: (diagnostic && signatureOf(language, diagnostic)) || null,
    reportedLine: judgement.reportedFile ? null : judgement.reportedLine,
    family: evidence.changes[0]?.family ?? null,
    patterns: judgement.class === null ? [] : suggestPatterns(evidence, own),
    searched: fixes !== null,
  };
}

/** Keeps what a fix says of the version that it mends, whoever made it; nothing where no kind of mistake is told by it. */
export async function noteFix(
  database: Pick<Database, "query">,
  found: WholeCase,
  judged: Pick<VersionJudgement, "version" | "deciding">,
  mended: string,
  hunks: readonly Hunk[],
): Promise<void> {
  const language = languageOf(found);
  const family = familyOf(language, judged.version.files[0]?.text ?? "", mended) ?? "";
  const fix = {
    hunks,
    families: [family],
    lines: hunks.slice(0, 1).map(({ start }) => start),
    repairs: "open" as const,
  };
  const own = (await listOwnPatterns(database.query)).map((each) => patternOfOwn(each));
  const finding = findingOf(found, judged, [fix], own);
  if (finding.patterns.length > 0) await saveFinding(database.query, { ...finding, family: family || null });
}

/** Keeps what the evidence says of a judged version; nothing is kept where it is not known. */
export async function noteFinding(
  database: Pick<Database, "query">,
  found: WholeCase,
  judged: Pick<VersionJudgement, "version" | "deciding" | "unknown">,
  fixes: readonly FoundChange[] | null = null,
): Promise<void> {
  if (judged.unknown !== null) return;
  const own = (await listOwnPatterns(database.query)).map((each) => patternOfOwn(each));
  await saveFinding(database.query, findingOf(found, judged, fixes, own));
}
