import type { Language } from "../../core/languages/language.ts";
import { tokensByLine } from "../../core/languages/lexical.ts";
import { partsOf } from "../../core/narrowing/parts.ts";
import { probeWords } from "../../core/narrowing/probes.ts";
import { readSteps } from "../../core/trace/inputStream.ts";
import { valueHistories } from "../../core/trace/valueHistory.ts";
import { versionOf, type WholeCase } from "../../server/cases/caseStore.ts";
import { languageOf, recordVersion } from "../../server/judge/judge.ts";
import { listTries } from "../../server/mend/narrowStore.ts";
import { listPartChecks, type PartCheck } from "../../server/mend/partStore.ts";
import type { Services } from "../../server/services.ts";

/** Changes of a variable that a page shows, the last ones; and reads. */
const changesShown = 60;
const readsShown = 60;

/**
 * What helps to narrow a fault down: where values of the current version changed with the input of a check, what its reads took,
 * and what was tried. `lastRun`: the recorded step at which each line ran last; lines are those of the main file, from 1.
 */
export async function narrowView(services: Services, found: WholeCase, wanted: { check: string | null }) {
  const version = versionOf(found, found.current_version);
  const check = found.checks.find((each) => each.key === wanted.check) ?? found.checks[0];
  const language = languageOf(found);
  const text = version.files[0]?.text ?? "";
  const [trace, tries, partChecks] = await Promise.all([
    check && language.runs !== false ? recordVersion(services, found, version, check) : null,
    listTries(services.database.query, found.key),
    listPartChecks(services.database.query, found.key),
  ]);
  const histories = trace ? valueHistories(language, text, trace) : [];
  const titles = new Set(histories.map((history) => history.title));
  const lastRun: Record<number, number> = {};
  for (const step of trace?.steps ?? []) if (step.file === 0) lastRun[step.line] = step.index;
  return {
    check: check?.key ?? "",
    recorded: trace !== null,
    cut: trace?.cut ?? null,
    lastRun,
    names: [...tokensByLine(language.tokens(text))].map(([line, tokens]) => ({
      line,
      names: [...new Set(tokens.flatMap((token) => (titles.has(token.text) ? [token.text] : [])))],
    })),
    histories: histories.map(({ changes, ...rest }) => ({
      ...rest,
      total: changes.length,
      changes: changes.slice(-changesShown).map((change) => ({ ...change, value: change.value.slice(0, 200) })),
    })),
    reads: trace ? readSteps(language, text, trace).slice(0, readsShown) : [],
    plan: planOf(language, text, partChecks),
    tries: tries.map(({ key, version: of, check_name, probes, belief, result, tried_at }) => ({
      ...{ key, belief, at: tried_at, checkName: check_name },
      version: found.versions.find((each) => each.key === of)?.number ?? 0,
      words: probes.map(probeWords),
      ...result,
    })),
  };
}

/** The parts of a program with their checks; a check whose part is gone stands under the name that it had. */
function planOf(language: Language, text: string, checks: readonly PartCheck[]) {
  const parts = partsOf(language, text);
  const gone = [...new Set(checks.map((check) => check.part))].filter(
    (name) => !parts.some((part) => part.name === name),
  );
  const all = [...parts, ...gone.map((name) => ({ name, from: null, to: null, parameters: [], calls: [] }))];
  return all.map((part) => ({ ...part, checks: checks.filter((check) => check.part === part.name) }));
}
export type NarrowView = Awaited<ReturnType<typeof narrowView>>;
