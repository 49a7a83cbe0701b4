import type { KeptVerdict, LinePlace } from "../../core/cases/case.ts";
import { compareFaults, type FaultRelation } from "../../core/fixes/compareFaults.ts";
import { carryBack, findHunks, type Hunk, mapLines } from "../../core/fixes/hunks.ts";
import { decodeText } from "../../core/source/decode.ts";
import {
  noteJudged,
  noteVerified,
  setCurrentVersion,
  versionOf,
  type WholeCase,
  withAllFiles,
} from "../cases/caseStore.ts";
import { type Change, changeCase, type Refused } from "../cases/changeCase.ts";
import { closeLayer, insertLayer, setFaultyLines, setSuggestion } from "../cases/layerStore.ts";
import { insertVersion, setVersionResult, type Version, type VersionHead } from "../cases/versionStore.ts";
import { verificationOf } from "../judge/checks.ts";
import { openLayer } from "../judge/decisions.ts";
import { keptFields, keptOf, keptVerdict } from "../judge/faultFields.ts";
import { noteFinding, noteFix } from "../judge/findings.ts";
import { judgeVersion, type VersionJudgement } from "../judge/judge.ts";
import type { Services } from "../services.ts";
import { mainText, mappingFromFirst } from "./followLines.ts";
import { smallestPart, withMainText } from "./smallestPart.ts";

/**
 * `extra`: changed places (1-based lines before) that the fix does not need. `shows`: what the changed program shows now,
 * with how that is to the fault that was to be mended.
 */
export type TriedFix =
  | Refused
  | {
      ok: true;
      result: "verified" | "next fault" | "not mended" | "no change" | "nothing to mend" | "open";
      version: string | null;
      extra: number[];
      shows?: { relation: FaultRelation } & Pick<
        KeptVerdict,
        "symptom" | "message" | "reportedLine" | "reportedFile" | "reasons"
      >;
    };

/** True if what shows after a change is the next fault: another one than before, and not before it. */
function isNextFault(before: KeptVerdict, now: KeptVerdict, relation: FaultRelation): boolean {
  if (now.gate === null || relation === "same error" || relation === "does not start any more") return false;
  return before.gate === null || now.gate >= before.gate;
}

/** The lines that a fix takes out, as faulty lines of the version before; for an insertion the line it goes before. */
function linesOf(hunks: readonly Hunk[]): LinePlace[] {
  return hunks.flatMap((hunk) =>
    hunk.before.length > 0
      ? hunk.before.map((_, index) => ({ line: hunk.start + index }))
      : [{ line: Math.max(1, hunk.start - 1) }],
  );
}

/** The case with a version more, as the database has it after `insertVersion` at the next revision. */
function withVersion(
  found: WholeCase,
  key: string,
  parent: Version,
  files: ReturnType<typeof withMainText>,
  origin: string,
): WholeCase {
  const version: Version = {
    key,
    number: Math.max(0, ...found.versions.map((each) => each.number)) + 1,
    origin,
    parent: parent.key,
    worked: false,
    handed_in: false,
    belief: "",
    result: null,
    created_at: new Date().toISOString(),
    files: files.map((file) => ({ ...file, ...decodeText(file.bytes) })),
  };
  return {
    ...found,
    revision: found.revision + 1,
    versions: [...found.versions, version],
    loaded: [...found.loaded, version],
  };
}

const meanwhile =
  "The case was changed in another window while your fix was tried. Your try is kept under Versions, and nothing else was changed: the page shows what the other window left.";

/**
 * Runs an edited copy. If the gate of the open layer passes now (or another fault shows), the layer is closed with the
 * changed lines as its fix, and the next fault begins the next layer. Otherwise the try is kept as a version and the
 * layer stays open. `force` is the teacher's word that this mends one of several faults although the same gate still
 * fails; `origin` says where the changed text comes from, `belief` what the person thinks is wrong. The runs take their time: what another window changed meanwhile stands, and the try decides nothing then.
 */
export async function tryFix(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key" | "reason">,
  text: string,
  force: boolean,
  { origin = "mended", belief = "" }: { origin?: string; belief?: string } = {},
): Promise<TriedFix> {
  const before = versionOf(found, found.current_version);
  const hunks = findHunks(mainText(before), text);
  if (hunks.length === 0) return { ok: true, result: "no change", version: null, extra: [] };
  const judgedBefore = await judgeVersion(services, found, before);
  if (judgedBefore.unknown !== null) return { ok: false, message: judgedBefore.unknown };
  const open = openLayer(found);
  if (!open && judgedBefore.deciding.judgement.class === null && judgedBefore.notRun === null)
    return { ok: true, result: "nothing to mend", version: null, extra: [] };

  const files = withMainText(before, text);
  const written = { ...change, key: found.key, reason: "a fix was tried" };
  let key = "";
  const kept = await changeCase(services.database, written, async ({ query }) => {
    key = await insertVersion(query, found.key, files, origin, before.key, { belief });
    return undefined;
  });
  if (!kept.ok) return kept;
  const tried = withVersion(found, key, before, files, origin);
  const judged = await judgeVersion(services, tried, versionOf(tried, key));
  // The try is kept as a version; whether it mends anything is not known.
  if (judged.unknown !== null) return { ok: false, message: judged.unknown };
  const verdictBefore = open?.verdict ?? keptOf(found, judgedBefore);
  const now = keptVerdict(judged.deciding.judgement);
  const relation = compareFaults(verdictBefore, now, mapLines(mainText(before), hunks));
  const shows = {
    relation,
    symptom: now.symptom,
    message: now.message,
    reportedLine: now.reportedLine,
    reportedFile: now.reportedFile,
    reasons: now.reasons,
  };
  const next = isNextFault(verdictBefore, now, relation);
  const passes = judged.deciding.judgement.class === null && judged.results.every((result) => result.passes !== false);
  const became = (result: VersionHead["result"]) => setVersionResult(services.database.query, key, result);
  if (!passes && !next && !force) {
    await became("not mended");
    return { ok: true, result: "not mended", version: key, extra: [], shows };
  }

  const parts = await smallestPart(services, tried, before, hunks, judged);
  const extra = parts.filter((part) => part.extra).map((part) => part.start);
  const closed = await close(
    services,
    tried,
    { ...written, revision: tried.revision },
    { before, hunks: parts, judgedBefore, judged, verdictBefore, passes },
  );
  if (!closed.ok) return { ok: false, stale: true, message: meanwhile };
  const result = judged.allPass ? "verified" : passes ? "open" : "next fault";
  await became(result);
  return { ok: true, result, version: key, extra, shows };
}

/** Closes the open layer (begun now if there is none) with the fix, and begins the next one where a fault still shows. */
async function close(
  services: Services,
  tried: WholeCase,
  change: Change,
  given: {
    before: Version;
    hunks: Hunk[];
    judgedBefore: VersionJudgement;
    judged: VersionJudgement;
    verdictBefore: KeptVerdict;
    passes: boolean;
  },
) {
  const { before, hunks, judgedBefore, judged, verdictBefore, passes } = given;
  const whole = await withAllFiles(services.database, tried);
  const needed = hunks.filter((hunk) => !hunk.extra);
  const back = carryBack(needed, mappingFromFirst(whole, before));
  const open = openLayer(tried);
  const lines = open?.faulty_lines.length ? open.faulty_lines : linesOf(needed);
  // By now the class is decided and the lines are known, by which the evidence fills the other fields.
  const fields = keptFields(tried, judgedBefore, { decided: open?.decided ?? null, faulty_lines: lines });
  return changeCase(services.database, change, async ({ query }) => {
    const layer = open?.key ?? (await insertLayer(query, tried.key, before.key, verdictBefore));
    await closeLayer(query, layer, {
      version: judged.version.key,
      fix: hunks,
      firstFix: back.tied.length === 0 ? back.free : null,
      verified: verificationOf(tried, judged),
    });
    await setSuggestion(query, layer, { ...verdictBefore, fields });
    await noteFix({ query }, tried, judgedBefore, mainText(judged.version), needed);
    if (!open?.faulty_lines.length) await setFaultyLines(query, layer, lines);
    await setCurrentVersion(query, tried.key, judged.version.key);
    if (judged.allPass) {
      await noteVerified(query, tried.key, true);
      // What is mended and proved is no longer waiting to be judged, also where nobody confirmed the class.
      await noteJudged(query, tried.key);
    }
    if (!passes) {
      await insertLayer(query, tried.key, judged.version.key, keptOf(tried, judged));
      await noteFinding({ query }, tried, judged);
    }
    return undefined;
  });
}
