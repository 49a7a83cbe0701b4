import type { Decision, LinePlace } from "../../core/cases/case.ts";
import { findHunks, type Hunk } from "../../core/fixes/hunks.ts";
import { placedCharts } from "../../core/flowcharts/placedCharts.ts";
import { askedOf } from "../../core/languages/asked.ts";
import { actionsIn, type Language } from "../../core/languages/language.ts";
import { languages } from "../../core/languages/languages.ts";
import { probeWords } from "../../core/narrowing/probes.ts";
import type { Outcome } from "../../core/outcome/outcome.ts";
import { evidenceOf } from "../../core/patterns/evidence.ts";
import { patterns } from "../../core/patterns/patterns.ts";
import { suggestPatterns } from "../../core/patterns/suggest.ts";
import { explain } from "../../core/reading/explain.ts";
import { textStateOf } from "../../core/reading/reading.ts";
import { lineStyles } from "../../core/source/lineStyles.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { preparedParts } from "../../core/source/preparedParts.ts";
import { structureOf } from "../../core/source/structure.ts";
import { relaid } from "../../core/syntax/relaid.ts";
import type { Stretch } from "../../core/trace/neverRan.ts";
import type { RowPolicy } from "../../core/trace/tableStyle.ts";
import { secondOpinion } from "../../core/verdict/secondOpinion.ts";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import { messageOf } from "../../core/verdict/words.ts";
import { listAssignments, offered } from "../../server/assignments/assignmentStore.ts";
import { seenBefore } from "../../server/casebook/seen.ts";
import { versionOf, type WholeCase } from "../../server/cases/caseStore.ts";
import { listFormerOf } from "../../server/cases/formerStore.ts";
import type { VersionHead } from "../../server/cases/versionStore.ts";
import { findWalk, type WalkPlace } from "../../server/cases/walkStore.ts";
import { listWarningDecisions } from "../../server/cases/warningStore.ts";
import { wasVerified } from "../../server/judge/checks.ts";
import { openLayer } from "../../server/judge/decisions.ts";
import { fieldsOf, neverRanIn } from "../../server/judge/faultFields.ts";
import { judgeVersion, languageOf, saysNothing } from "../../server/judge/judge.ts";
import { listRunsOfVersions } from "../../server/judge/runStore.ts";
import { mayBeMended } from "../../server/mend/findFixes.ts";
import { listTries } from "../../server/mend/narrowStore.ts";
import { listStudents } from "../../server/people/courseStore.ts";
import type { Services } from "../../server/services.ts";
import { shortConsole } from "../components/shortConsole.ts";
import { cardView } from "./cardView.ts";
import { checkView, reasonOf } from "./checkView.ts";
import { layersView } from "./layersView.ts";
import type { leafNames } from "./leafAddress.ts";
import { messagesView } from "./messagesView.ts";
import { narrowView } from "./narrowView.ts";
import { traceView } from "./traceView.ts";

export type Leaf = (typeof leafNames)[number];

/** Characters of a pasted output that a page shows. */
const outputShown = 60_000;

/** The output of a version's run, with how it ended, short. */
function outputView(outcome: Outcome | undefined) {
  return outcome ? { console: shortConsole(outcome.console), stoppedBy: outcome.stoppedBy } : null;
}

/** Partners and depth of a text, as far as a page needs them. */
function structureView(language: Language, text: string) {
  const { lines, signs, openTexts } = structureOf(language, text);
  return {
    lines: lines.map(({ line, depth, unpaired, closes }) => ({ line, depth, unpaired, closes })),
    openTexts,
    unpaired: signs.filter((sign) => !sign.partner).length,
  };
}

function stretchWords({ from, to, function: name }: Stretch): string {
  const lines = from === to ? `line ${from}` : `lines ${from} to ${to}`;
  return name === null ? `Never ran in this run: ${lines}.` : `${name} was never called in this run (${lines}).`;
}

/** What became of a try, in words. */
const becameWords = {
  verified: "all checks passed",
  "next fault": "the next fault showed",
  "not mended": "the fault still showed",
  open: "it passed, with something left open",
} as const;

/** What a version changes in the one that it came from, where both were read. */
function changesOf(found: WholeCase, version: VersionHead): Hunk[] {
  const before = found.loaded.find((each) => each.key === version.parent);
  const after = found.loaded.find((each) => each.key === version.key);
  return before && after ? findHunks(before.files[0]?.text ?? "", after.files[0]?.text ?? "") : [];
}

/** The program in another form: the one that is asked for, else the one of its course. */
function formsView({ forms, way }: Language, text: string, asked: string | null | undefined) {
  if (!forms) return null;
  const chosen = asked ?? way?.split(" ")[0] ?? forms.all[0]?.id ?? "";
  return { all: forms.all, chosen, ...forms.write(text, chosen) };
}

/** All that the case page shows, drawn from the case and its runs. */
export async function caseView(
  services: Services,
  found: WholeCase,
  wanted: {
    leaf: Leaf;
    check: string | null;
    version: string | null;
    rows: RowPolicy | null;
    from: number;
    /** Whether all that was tried is told. */
    record?: boolean;
    /** How much is said of messages, where somebody wants another measure than their course's. */
    depth?: "short" | "full" | null;
    /** The form in which the program is written otherwise, by its id. */
    form?: string | null;
    /** Where somebody works through several cases. */
    through?: WalkPlace | null;
  },
) {
  const language = languageOf(found);
  const current = versionOf(found, found.current_version);
  const judged = await judgeVersion(services, found, current);
  const { judgement } = judged.deciding;
  const open = openLayer(found);
  const neverRan = neverRanIn(found, judged);
  const main = current.files[0];
  const diagnostic = judgement.diagnostic;
  const faulty: LinePlace[] = open?.faulty_lines ?? [];
  const aboutLayer = open ?? found.layers.at(-1) ?? null;
  const aboutVersion = aboutLayer?.version_before ?? found.current_version;
  const [students, assignments, decisions, former, outputs, walk, tries, seen] = await Promise.all([
    found.course ? listStudents(services.database, found.course) : [],
    found.course ? listAssignments(services.database, found.course) : [],
    listWarningDecisions(services.database.query, found.key),
    listFormerOf(services.database.query, "check", { faultyCase: found.key }),
    wanted.leaf === "versions" ? listRunsOfVersions(services.database, found.key) : null,
    wanted.through ? findWalk(services.database, wanted.through, found.key) : null,
    wanted.record || (open === null && found.layers.length > 0) ? listTries(services.database.query, found.key) : [],
    wanted.leaf === "seen" ? seenBefore(services.database, found.key) : null,
  ]);
  const linesOf = (name: string | undefined) =>
    lineTexts((current.files.find((file) => file.name === name) ?? main)?.text ?? "");
  // A fragment keeps the numbers that its lines have where it comes from.
  const numbered = (text: string) =>
    found.first_line === 1
      ? text
      : text.replace(
          /\b([Ll]ine )(\d+)/g,
          (_, word: string, line: string) => `${word}${Number(line) + found.first_line - 1}`,
        );
  const opinionOn = (decided: Decision | null | undefined, suggested: FaultClass | null, message: string) =>
    secondOpinion({ language, decided: decided?.class ?? null, suggested, message });
  const suggested = fieldsOf(found, judged, open, neverRan);
  const nameOfKind = (id: string) => [...found.kinds.own, ...patterns].find((each) => each.id === id)?.name ?? id;
  const onTheWay = new Set<string>();
  for (let at = found.versions.find((each) => each.key === found.current_version); at; )
    at = onTheWay.add(at.key) && found.versions.find((each) => each.key === at?.parent);
  const actions = actionsIn(language, main?.text ?? "");
  return {
    key: found.key,
    version: found.current_version,
    title: found.title,
    collected: found.created_at,
    revision: found.revision,
    language: language.name,
    languageId: language.id,
    extension: language.extension,
    /** How what its user does is written, where that is what is typed in. */
    actions: actions ? { label: actions.label, note: actions.note } : null,
    student: found.student ?? "",
    students: students.map(({ key, label }) => ({ key, label })),
    assignment: found.assignment,
    assignments: offered(assignments, found.assignment).map(({ key, title }) => ({ key, title })),
    languages: [...languages, ...(language.askedAs ? [language] : [])].map(({ id, name }) => ({ id, name })),
    /** The languages of which a person says one, where the case's own has become several; the likeliest by its text is marked. */
    askedAs: askedOf(language, main?.text ?? ""),
    studentLabel: found.student_label,
    courseName: found.course_name,
    intent: found.intent,
    changedLast: found.changed_last,
    outputs: found.outputs.map((output) => ({
      key: output.key,
      version: found.versions.find((version) => version.key === output.version)?.number ?? 0,
      origin: output.origin,
      text: output.content.slice(0, outputShown),
      cut: Math.max(0, output.content.length - outputShown),
    })),
    instead: found.instead,
    userActions: found.user_actions.split("\n").filter((step) => step !== ""),
    additions: found.additions.map((addition) => addition.content),
    note: found.note,
    firstLine: found.first_line,
    wording: found.wording,
    runs: language.runs !== false,
    /** Its flowcharts: absent where nothing is drawn in its language, null where they are not asked for. */
    charts: !language.charts
      ? undefined
      : wanted.leaf === "chart"
        ? await placedCharts(language, main?.text ?? "")
        : null,
    tryHere: language.runsInBrowser ? { program: main?.text ?? "", way: language.way ?? "" } : null,
    forms: language.forms && wanted.leaf === "chart" ? formsView(language, main?.text ?? "", wanted.form) : null,
    relaid: wanted.leaf === "structure" ? relaid(language, main?.text ?? "") : null,
    structure: structureView(language, main?.text ?? ""),
    prepared: preparedParts(language, main?.text ?? "").map(({ from, to, text }) => ({
      from,
      to,
      text: text.slice(0, 2000),
    })),
    messages: messagesView(language, found, current, judged.deciding.outcome, wanted.depth ?? found.depth, decisions),
    depth: wanted.depth ?? found.depth,
    otherWays:
      wanted.leaf === "messages" && !found.only_read
        ? (services.toolchains.find(language.id)?.otherWays() ?? []).map(({ id, words }) => ({ id, words }))
        : [],
    switched: current.origin.endsWith("switched on"),
    onlyRead: found.only_read,
    cameOut: found.came_out,
    handTable: found.hand_table,
    source: found.source,
    newer: found.versions.some((version) => version.handed_in && version.number > current.number),
    deleted: found.deleted_at !== null,
    encoding: main?.encoding ?? "utf-8",
    fileName: main?.name ?? "",
    lines: lineTexts(main?.text ?? ""),
    styles: lineStyles(language, main?.text ?? ""),
    undoable: found.undoable,
    /** Every fault that was found is mended. */
    isMended: open === null && found.layers.length > 0,
    walk,
    text: main?.text ?? "",
    versionNumber: current.number,
    notRun: judged.notRun,
    verified: found.verified_at !== null,
    wasVerified: wasVerified(found),
    /** Whether looking for small changes of it may find something. */
    mayBeMended: mayBeMended(found, judged),
    /** What the translator says of the text as a whole; null where it was not run. */
    textState: judged.deciding.outcome ? textStateOf(judged.deciding.outcome) : null,
    verdict: {
      class: judgement.class,
      kind: judgement.kind,
      symptom: judgement.symptom,
      reasons: [
        ...(judged.deciding.check.of_assignment && judgement.class !== null
          ? [`In the check “${judged.deciding.check.name}” of its assignment:`]
          : []),
        ...judgement.reasons.map(numbered),
      ],
      reportedLine: judgement.reportedLine,
      reportedFile: judgement.reportedFile,
      gates: judgement.gates,
      leads: judgement.leads.map(({ file, line, why }) => ({
        ...{ file: file ?? null, line, why: numbered(why) },
        text: file ? (lineTexts(current.files.find((each) => each.name === file)?.text ?? "")[line - 1] ?? "") : "",
      })),
      /** What decides, in one sentence. */
      because: numbered(reasonOf(judged.deciding)),
      message: diagnostic ? messageOf(diagnostic) : null,
      meaning: diagnostic ? (explain(language, diagnostic, linesOf(diagnostic.file))?.says ?? null) : null,
      otherClasses: judged.otherClasses,
    },
    openLayer: open
      ? {
          key: open.key,
          position: open.position,
          decided: open.decided,
          faultyLines: faulty.map((place) => place.line),
          intention: open.intention,
          advice: open.advice,
          unsaid: open.unsaid,
          place: open.place,
          placeReason: open.place_reason,
          explanation: open.explanation,
        }
      : null,
    /** Tries in a copy, where the record is shown. */
    tries: tries.map(({ key, probes, belief, result }) => ({
      ...{ key, belief, passes: result.passes, ended: result.ended },
      words: probes.map(probeWords).join("; "),
    })),
    fields:
      judgement.class !== null || open
        ? {
            suggested: Object.fromEntries(
              Object.entries(suggested).map(([name, { value, why }]) => [name, { value, why: numbered(why) }]),
            ) as typeof suggested,
            own: open && { cause: open.cause, moment: open.moment, depends: open.depends },
          }
        : null,
    /** The kind of mistake of the fault that is worked on, or of the last one: what is suggested, what a teacher said, and all that can be said. */
    patterns: {
      layer: aboutLayer?.key ?? null,
      own: aboutLayer?.pattern ?? null,
      suggested:
        found.kinds.found[aboutVersion] ??
        (judgement.class === null ? [] : suggestPatterns(evidenceOf(language, main?.text ?? "", judgement, []))),
      /** The name of what a teacher said, whatever it is. */
      ownName: aboutLayer?.pattern ? nameOfKind(aboutLayer.pattern) : null,
    },
    seen,
    card: wanted.leaf === "card" ? cardView(language, main?.text ?? "", judgement, judged.deciding.outcome) : null,
    neverRan: (neverRan ?? []).map((each) => numbered(stretchWords(each))),
    /** Where the teacher's class is another than the evidence's: why that says so. */
    secondOpinion: opinionOn(open?.decided, judgement.class, diagnostic ? messageOf(diagnostic) : ""),
    layers: layersView(found, language, nameOfKind),
    // Runs that show the fault come first; one that judges nothing stands behind those that do.
    checks: judged.results
      .map((result) => checkView(result, former, !saysNothing(found, result)))
      .sort(
        (one, other) =>
          Number(other.tells) - Number(one.tells) || Number(other.passes === false) - Number(one.passes === false),
      ),
    versions: found.versions.map((version) => ({
      output: outputView(outputs?.get(version.key)),
      key: version.key,
      number: version.number,
      origin: version.origin,
      worked: version.worked,
      belief: version.belief,
      became: version.result && becameWords[version.result],
      current: version.key === found.current_version,
      /** A try that led to nothing that was kept. */
      aside: !version.handed_in && !onTheWay.has(version.key),
      changes: changesOf(found, version),
    })),
    narrow: wanted.leaf === "narrow" ? await narrowView(services, found, wanted) : null,
    trace: wanted.leaf === "trace" ? await traceView(services, found, wanted) : null,
  };
}
export type CaseView = Awaited<ReturnType<typeof caseView>>;
