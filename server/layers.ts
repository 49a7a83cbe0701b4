import type { Decision, KeptVerdict, LinePlace, Verification } from "../core/cases/case.ts";
import { type Surroundings, withSurroundings } from "../core/cases/surroundings.ts";
import { applyHunks, carryBack, findHunks, type Hunk, mapLines } from "../core/fixes/hunks.ts";
import type { ProgramFiles } from "../core/outcome/outcome.ts";
import type { Judgement } from "../core/verdict/judge.ts";
import { judgeVersion, languageOf, type VersionJudgement, versionOf } from "./casework.ts";
import type { Query } from "./database/database.ts";
import { judgeProgram } from "./judging.ts";
import { newKey } from "./keys.ts";
import type { Services } from "./services.ts";
import { findCase, insertVersion, type Layer, takeRevision, type Version, type WholeCase } from "./stores/cases.ts";
import { keepFormer } from "./stores/formerValues.ts";
import { asBytes } from "./stores/rows.ts";

/** What a change to a case gives back: done, or the words for a person whose page was out of date. */
export type Changed = { ok: true } | { ok: false; message: string };
const stale: Changed = {
  ok: false,
  message:
    "This case was changed in another window meanwhile. Nothing was overwritten: the page now shows the newer state, and what you had typed is still in the field.",
};

/** The layer that is being worked on: the first one not mended, or null if a new one is to begin. */
export function openLayer(found: WholeCase): Layer | null {
  return found.layers.find((layer) => layer.version_after === null) ?? null;
}

export function keptVerdict(judgement: Judgement): KeptVerdict {
  const failed = judgement.gates.find((gate) => gate.passes === false);
  const diagnostic = judgement.diagnostic;
  return {
    class: judgement.class,
    kind: judgement.kind,
    symptom: judgement.symptom,
    gate: failed?.gate ?? null,
    reasons: judgement.reasons,
    reportedLine: judgement.reportedLine,
    message: diagnostic ? [diagnostic.errorName, diagnostic.message].filter((part) => part).join(": ") : "",
  };
}

async function insertLayer(query: Query, found: WholeCase, version: string, verdict: KeptVerdict): Promise<string> {
  const key = newKey();
  await query(
    "insert into layer (key, faulty_case, position, version_before, verdict) values ($1, $2, (select coalesce(max(position), 0) + 1 from layer where faulty_case = $2), $3, $4)",
    [key, found.key, version, JSON.stringify(verdict)],
  );
  return key;
}

/** The open layer of the current version, begun if there is none yet. */
async function layerToDecide(query: Query, found: WholeCase, judged: VersionJudgement): Promise<Layer | { key: string; decided: null }> {
  const open = openLayer(found);
  if (open) return open;
  return { key: await insertLayer(query, found, found.current_version, keptVerdict(judged.deciding.judgement)), decided: null };
}

/** The teacher confirms or overrules the class of the open layer; overruling needs a reason. */
export async function decideClass(services: Services, found: WholeCase, revision: number, decision: Omit<Decision, "at" | "suggested">): Promise<Changed> {
  const judged = await judgeVersion(services, found, versionOf(found, found.current_version));
  if (judged.unknown !== null) return { ok: false, message: judged.unknown };
  const suggested = judged.deciding.judgement.class;
  if (suggested !== decision.class && decision.reason.trim() === "")
    return { ok: false, message: `The evidence says ${suggested ?? "nothing decided"}. Overruling it needs a reason, so that it can be understood later.` };
  return services.database.transaction(async (query): Promise<Changed> => {
    if (!(await takeRevision(query, found.key, revision))) return stale;
    const layer = await layerToDecide(query, found, judged);
    if (layer.decided)
      await keepFormer(query, { about: "layer", aboutKey: layer.key, former: layer.decided, who: "teacher", reason: decision.reason, faultyCase: found.key });
    await query("update layer set decided = $2, verdict = $3 where key = $1", [
      layer.key,
      JSON.stringify({ ...decision, suggested, at: new Date().toISOString() }),
      JSON.stringify(keptVerdict(judged.deciding.judgement)),
    ]);
    await query("update faulty_case set judged_at = coalesce(judged_at, now()) where key = $1", [found.key]);
    return { ok: true };
  });
}

/** Sets the faulty lines of the open layer, in the version before it. */
export async function setFaultyLines(services: Services, found: WholeCase, revision: number, lines: readonly LinePlace[]): Promise<Changed> {
  const judged = await judgeVersion(services, found, versionOf(found, found.current_version));
  if (judged.unknown !== null) return { ok: false, message: judged.unknown };
  return services.database.transaction(async (query): Promise<Changed> => {
    if (!(await takeRevision(query, found.key, revision))) return stale;
    const layer = await layerToDecide(query, found, judged);
    await query("update layer set faulty_lines = $2 where key = $1", [layer.key, JSON.stringify(lines)]);
    return { ok: true };
  });
}

/** The main file's text of a version. */
function mainText(version: Version): string {
  return version.files[0]?.text ?? "";
}

/** Where the lines of the first version are in `version`, following the chain of parents. Index 0 is unused. */
function mappingFromFirst(found: WholeCase, version: Version): Array<number | null> {
  const chain: Version[] = [];
  for (let at: Version | undefined = version; at; at = found.versions.find((each) => each.key === at?.parent)) chain.unshift(at);
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

/** True if the failing gate shows another fault than before: another gate, message or place, as far as the lines can be followed. */
function showsNextFault(before: KeptVerdict, after: Judgement, lineMap: ReadonlyArray<number | null>): boolean {
  const now = keptVerdict(after);
  if (now.gate === null) return false;
  if (before.gate === null || now.gate > before.gate) return true;
  if (now.gate < before.gate || now.gate === 3) return false;
  const carried = before.reportedLine === null ? null : (lineMap[before.reportedLine] ?? null);
  return now.message !== before.message || (now.reportedLine !== null && now.reportedLine !== carried);
}

export type TriedFix =
  | { ok: false; message: string }
  | {
      ok: true;
      result: "verified" | "next fault" | "not mended" | "no change" | "nothing to mend" | "open";
      version: string | null /** Changed places (1-based lines before) that the fix does not need. */;
      idle: number[];
    };

/**
 * Places of a fix that can be taken back without the gate failing again: they do not belong to it. Each is tried on its own
 * by a real run, with the deciding check. Only for fixes of a few places; a longer one is a rewrite.
 */
async function idlePlaces(services: Services, found: WholeCase, before: Version, hunks: readonly Hunk[], judged: VersionJudgement): Promise<number[]> {
  if (hunks.length < 2 || hunks.length > 8) return [];
  const { check, judgement } = judged.deciding;
  const language = languageOf(found);
  const idle: number[] = [];
  for (const [index, hunk] of hunks.entries()) {
    const text = applyHunks(
      mainText(before),
      hunks.filter((_, other) => other !== index),
    );
    const files = before.files.map((file, at) => (at === 0 ? { name: file.name, bytes: Buffer.from(text, "utf8") } : file));
    const without = await judgeProgram(services.toolchains.find(language.id), {
      language,
      files: withSurroundings(files, check.surroundings),
      input: check.input,
      expected: check.expected ?? undefined,
      ignorePrompts: check.ignore_prompts,
    });
    if (without.outcome && without.judgement.class === judgement.class && keptVerdict(without.judgement).message === keptVerdict(judgement).message)
      idle.push(hunk.start);
  }
  return idle;
}

/**
 * Runs an edited copy. If the gate of the open layer passes now (or another fault shows), the layer is closed with the changed
 * lines as its fix, and the next fault begins the next layer. Otherwise the try is kept as a version and the layer stays open.
 * `force` is the teacher's word that this mends one of several faults although the same gate still fails.
 */
export async function tryFix(services: Services, found: WholeCase, revision: number, text: string, force: boolean): Promise<TriedFix> {
  const before = versionOf(found, found.current_version);
  const hunks = findHunks(mainText(before), text);
  if (hunks.length === 0) return { ok: true, result: "no change", version: null, idle: [] };
  const judgedBefore = await judgeVersion(services, found, before);
  if (judgedBefore.unknown !== null) return { ok: false, message: judgedBefore.unknown };
  if (!openLayer(found) && judgedBefore.deciding.judgement.class === null && judgedBefore.notRun === null)
    return { ok: true, result: "nothing to mend", version: null, idle: [] };
  const files: ProgramFiles = before.files.map((file, index) => (index === 0 ? { name: file.name, bytes: Buffer.from(text, "utf8") } : file));
  const version = await services.database.transaction(async (query) => {
    if (!(await takeRevision(query, found.key, revision))) return null;
    return insertVersion(query, found.key, files, "mended", before.key);
  });
  if (version === null) return { ok: false, message: stale.ok ? "" : stale.message };
  const fresh = await findCase(services.database, found.key);
  if (!fresh) return { ok: false, message: "The case is gone." };
  const judged = await judgeVersion(services, fresh, versionOf(fresh, version));
  // The try is kept as a version; whether it mends anything is not known.
  if (judged.unknown !== null) return { ok: false, message: judged.unknown };
  const open = openLayer(fresh);
  const verdictBefore = open?.verdict ?? keptVerdict(judgedBefore.deciding.judgement);
  const next = showsNextFault(verdictBefore, judged.deciding.judgement, mapLines(mainText(before), hunks));
  const passes = judged.deciding.judgement.class === null && judged.results.every((result) => result.passes !== false);
  if (!passes && !next && !force) return { ok: true, result: "not mended", version, idle: [] };
  const idle = await idlePlaces(services, fresh, before, hunks, judged);
  await services.database.transaction(async (query) => {
    const layer = open?.key ?? (await insertLayer(query, fresh, before.key, verdictBefore));
    const back = carryBack(hunks, mappingFromFirst(fresh, before));
    const verified: Verification = {
      version,
      checksEdition: fresh.checks_edition,
      translator: judged.deciding.outcome?.translator ?? "",
      at: new Date().toISOString(),
    };
    await query("update layer set version_after = $2, fix = $3, first_fix = $4, verified = $5 where key = $1", [
      ...[layer, version, JSON.stringify(hunks)],
      ...[back.tied.length === 0 ? JSON.stringify(back.free) : null, JSON.stringify(verified)],
    ]);
    if (!open?.faulty_lines.length)
      await query("update layer set faulty_lines = $2 where key = $1", [layer, JSON.stringify(linesOf(hunks, before.files[0]?.name ?? ""))]);
    await query("update faulty_case set current_version = $2, verified_at = $3 where key = $1", [fresh.key, version, judged.allPass ? new Date() : null]);
    if (!passes) await insertLayer(query, fresh, version, keptVerdict(judged.deciding.judgement));
  });
  return { ok: true, result: judged.allPass ? "verified" : passes ? "open" : "next fault", version, idle };
}

/** The lines that a fix takes out, as faulty lines of the version before; for a pure insertion the line it goes before. */
function linesOf(hunks: readonly Hunk[], file: string): LinePlace[] {
  return hunks.flatMap((hunk) =>
    hunk.before.length > 0 ? hunk.before.map((_, index) => ({ file, line: hunk.start + index })) : [{ file, line: Math.max(1, hunk.start - 1) }],
  );
}

/** Goes back to an earlier version: layers mended after it open again, those that began after it are put aside (kept as former values). */
export async function goBackTo(services: Services, found: WholeCase, revision: number, versionKey: string): Promise<Changed> {
  const target = versionOf(found, versionKey);
  return services.database.transaction(async (query): Promise<Changed> => {
    if (!(await takeRevision(query, found.key, revision))) return stale;
    // Versions on the way from the first to the target stay; everything mended on another way is undone.
    const way = new Set<string>();
    for (let at: Version | undefined = target; at; at = found.versions.find((each) => each.key === at?.parent)) way.add(at.key);
    for (const layer of found.layers) {
      const afterStays = layer.version_after !== null && way.has(layer.version_after);
      const beforeStays = way.has(layer.version_before);
      if (afterStays) continue;
      await keepFormer(query, {
        about: "layer",
        aboutKey: layer.key,
        former: layer,
        who: "teacher",
        reason: `went back to version ${target.number}`,
        faultyCase: found.key,
      });
      if (beforeStays && layer.version_before === target.key)
        await query("update layer set version_after = null, fix = null, first_fix = null, verified = null where key = $1", [layer.key]);
      else if (!beforeStays) await query("delete from layer where key = $1", [layer.key]);
      else await query("delete from layer where key = $1", [layer.key]);
    }
    await query("update faulty_case set current_version = $2, verified_at = null where key = $1", [found.key, target.key]);
    return { ok: true };
  });
}

/** Keeps what the fix is meant to do, since several can be right. */
export async function setIntention(services: Services, layer: string, intention: string): Promise<void> {
  await services.database.query("update layer set intention = $2 where key = $1", [layer, asBytes(intention)]);
}

export type CheckInput = {
  input: string;
  expected: string | null;
  kind: "normal" | "boundary" | "erroneous";
  ignorePrompts: boolean;
  surroundings?: Surroundings;
};

/** Adds a check, or changes the one with `key`. The edition of the checks goes up, so that "verified" is asked for again. */
export async function saveCheck(services: Services, found: WholeCase, key: string | null, check: CheckInput): Promise<void> {
  await services.database.transaction(async (query) => {
    const values = [
      asBytes(check.input),
      check.expected === null ? null : asBytes(check.expected),
      check.kind,
      check.ignorePrompts,
      JSON.stringify(check.surroundings ?? {}),
    ];
    if (key === null) {
      await query(
        "insert into program_check (input, expected, kind, ignore_prompts, surroundings, key, faulty_case, position) values ($1, $2, $3, $4, $5, $6, $7, (select max(position) + 1 from program_check where faulty_case = $7))",
        [...values, newKey(), found.key],
      );
    } else {
      const former = found.checks.find((each) => each.key === key);
      await keepFormer(query, { about: "check", aboutKey: key, former, who: "teacher", reason: "changed", faultyCase: found.key });
      await query("update program_check set input = $1, expected = $2, kind = $3, ignore_prompts = $4, surroundings = $5 where key = $6 and faulty_case = $7", [
        ...values,
        key,
        found.key,
      ]);
    }
    await query("update faulty_case set checks_edition = checks_edition + 1, verified_at = null, revision = revision + 1 where key = $1", [found.key]);
  });
  const fresh = await findCase(services.database, found.key);
  if (fresh) await verifyAgain(services, fresh);
}

/** Takes a check away (not the one that was handed in). */
export async function removeCheck(services: Services, found: WholeCase, key: string): Promise<void> {
  await services.database.transaction(async (query) => {
    await keepFormer(query, {
      about: "check",
      aboutKey: key,
      former: found.checks.find((each) => each.key === key),
      who: "teacher",
      reason: "removed",
      faultyCase: found.key,
    });
    await query("delete from program_check where key = $1 and faulty_case = $2 and not handed_in", [key, found.key]);
    await query("update faulty_case set checks_edition = checks_edition + 1, verified_at = null, revision = revision + 1 where key = $1", [found.key]);
  });
  const fresh = await findCase(services.database, found.key);
  if (fresh) await verifyAgain(services, fresh);
}

/** Runs all checks on the current version and marks a mended case verified if all pass. */
export async function verifyAgain(services: Services, found: WholeCase): Promise<boolean> {
  const last = found.layers.at(-1);
  if (!last || last.version_after !== found.current_version) return false;
  const judged = await judgeVersion(services, found, versionOf(found, found.current_version));
  if (!judged.allPass) return false;
  const verified: Verification = {
    version: found.current_version,
    checksEdition: found.checks_edition,
    translator: judged.deciding.outcome?.translator ?? "",
    at: new Date().toISOString(),
  };
  await services.database.query("update layer set verified = $2 where key = $1", [last.key, JSON.stringify(verified)]);
  await services.database.query("update faulty_case set verified_at = now() where key = $1", [found.key]);
  return true;
}
