import type { Language } from "../languages/language.ts";
import { findLanguage } from "../languages/languages.ts";
import { baseName } from "../languages/messageReader.ts";
import { languageOfName, recognise } from "../languages/recognise.ts";
import { decodeText } from "../source/decode.ts";
import type { Entry } from "./entries.ts";
import { type MessageAtEnd, messageAtEnd } from "./messageAtEnd.ts";
import { choosePair, type PairCandidate, plainStem } from "./pairing.ts";
import { chooseRule, sameLabel, sharedFolder, studentRules } from "./studentRules.ts";

/** What a teacher changed in the table: by the id of a program, or the path of an output ("" = belongs to none). */
export type Corrections = {
  rule?: string;
  students?: Readonly<Record<string, string>>;
  languages?: Readonly<Record<string, string>>;
  pairs?: Readonly<Record<string, string>>;
  left?: Readonly<Record<string, boolean>>;
};

/** A case that is there already, as far as a set is compared with it. */
export type KnownCase = {
  key: string;
  label: string | null;
  language: string;
  fileName: string;
  fingerprint: string;
  title: string;
};

export type PlannedOutput = { path: string | null; text: string; why: string };

/** A program of the set as it would be taken in. `id` is the path of its main file; `student` "" is nobody. */
export type PlannedCase = {
  id: string;
  files: Array<{ path: string; name: string }>;
  language: string | null;
  languageSure: boolean;
  student: string;
  studentIsNew: boolean;
  outputs: PlannedOutput[];
  atEnd: MessageAtEnd | null;
  /**
   * Students whose program is the same to the token, in the set or in a case that is there; where nobody is named, the
   * program or the case.
   */
  sameAs: string[];
  /** Joins a case that is there, or another program of the set, as its next version. */
  joins: { kind: "case"; key: string; title: string } | { kind: "program"; id: string } | null;
  alreadyHere: boolean;
  left: boolean;
};

export type Arrangement = {
  rule: string;
  programs: PlannedCase[];
  /** Outputs that belong to no program yet, with those that they might belong to. */
  unpaired: Array<{ path: string; text: string; candidates: string[] }>;
  /** Files that are neither program nor output, e.g. data: kept beside the programs that name them. */
  beside: Array<{ path: string; users: string[] }>;
};

const textEnding = /\.(?:txt|log|out|err|output|md|rtf)$/i;
const dataEnding = /\.(?:csv|tsv|dat|json|xml|ini|cfg|yaml|yml)$/i;

/** The part of a program that tells it from others: its tokens without comments. */
export function fingerprintOf(language: Language | null, text: string): string {
  if (!language) return text.replace(/\s+/g, " ").trim();
  return language
    .tokens(text)
    .filter((token) => token.kind !== "comment")
    .map((token) => token.text)
    .join(" ");
}

/** A file name without what people add to a second try: numbers, "final", "copy", "(1)". */
export function withoutTry(path: string): { stem: string; number: number } {
  const stem = plainStem(path);
  const match = /^(.*?)[-_ ]*(?:\(?(?:v|version|try|versuch)?[-_ ]*(\d{1,3})\)?|final|neu|new|copy|kopie|fixed)$/i.exec(
    stem,
  );
  return match?.[1] ? { stem: match[1], number: match[2] ? Number(match[2]) : 99 } : { stem, number: 0 };
}

type Source = { path: string; text: string; language: Language; sure: boolean };

function languageOf(path: string, text: string): { language: Language; sure: boolean } | null {
  const lower = path.toLowerCase();
  const byName = languageOfName(path);
  if (byName) return { language: byName, sure: true };
  if (dataEnding.test(lower)) return null;
  const best = recognise(text)[0];
  // A text file is a program only where it clearly looks like one and holds no message at its beginning.
  return best && best.weight >= (textEnding.test(lower) ? 6 : 4) && best.language.readMessages(text).length === 0
    ? { language: best.language, sure: false }
    : null;
}

/**
 * Joins files of one folder and language of which one needs the other; the main file, which none needs, comes first.
 */
function groupSources(sources: readonly Source[]): Source[][] {
  const folders = new Map<string, Source[]>();
  for (const source of sources) {
    const folder = `${source.path.slice(0, source.path.lastIndexOf("/") + 1)} ${source.language.id}`;
    folders.set(folder, [...(folders.get(folder) ?? []), source]);
  }
  const groups: Source[][] = [];
  for (const inFolder of folders.values()) {
    const stem = (source: Source) => baseName(source.path).replace(/\.[^.]*$/, "");
    const safe = /^[\p{L}_][\p{L}\p{N}_]*$/u;
    const needs = (one: Source, other: Source) =>
      one !== other && safe.test(stem(other)) && (one.language.needsFile?.(one.text, stem(other)) ?? false);
    const edges =
      inFolder.length > 60
        ? []
        : inFolder.flatMap((one) =>
            inFolder.filter((other) => needs(one, other)).map((other) => [one, other] as const),
          );
    const group = new Map<Source, Source[]>(inFolder.map((source) => [source, [source]]));
    for (const [one, other] of edges) {
      const [first = [], second = []] = [group.get(one), group.get(other)];
      if (first === second) continue;
      first.push(...second);
      for (const each of second) group.set(each, first);
    }
    for (const files of new Set(group.values())) {
      const needed = new Set(edges.filter(([one]) => files.includes(one)).map(([, other]) => other));
      groups.push(
        [...files].sort(
          (one, other) => Number(needed.has(one)) - Number(needed.has(other)) || one.path.localeCompare(other.path),
        ),
      );
    }
  }
  return groups;
}

/** Arranges the files of a set: programs with their outputs, students and forerunners. Pure: nothing is kept. */
export function arrange(
  entries: readonly Entry[],
  course: { labels: readonly string[]; digest?: (fingerprint: string) => string },
  known: readonly KnownCase[],
  corrections: Corrections = {},
): Arrangement {
  const shared = sharedFolder(entries.map((entry) => entry.path));
  const rule =
    studentRules.find((each) => each.id === corrections.rule) ??
    chooseRule(
      entries.map((entry) => entry.path),
      course.labels,
    );
  const labels = new Map(course.labels.map((label) => [sameLabel(label), label]));
  const labelOf = (path: string): string => {
    const found = rule.find(path.slice(shared.length))?.trim() ?? "";
    return labels.get(sameLabel(found)) ?? found;
  };
  const texts = new Map(entries.map((entry) => [entry.path, decodeText(entry.bytes).text]));
  const sources: Source[] = [];
  const others: string[] = [];
  for (const [path, text] of texts) {
    const chosen = findLanguage(corrections.languages?.[path] ?? "");
    const found = chosen ? { language: chosen, sure: true } : languageOf(path, text);
    if (found) sources.push({ path, text, ...found });
    else others.push(path);
  }

  const groups = groupSources(sources);
  const programs = groups.map((files): PlannedCase => {
    const main = files[0];
    const id = main?.path ?? "";
    const student = corrections.students?.[id] ?? labelOf(id);
    const folder = id.slice(0, id.lastIndexOf("/") + 1);
    return {
      id,
      files: files.map((file) => ({
        path: file.path,
        name: file.path.startsWith(folder) ? file.path.slice(folder.length) : baseName(file.path),
      })),
      language: main?.language.id ?? null,
      languageSure: main?.sure ?? false,
      student: labels.get(sameLabel(student)) ?? student,
      studentIsNew: student !== "" && !labels.has(sameLabel(student)),
      outputs: [],
      atEnd: main ? messageAtEnd(main.language, main.text) : null,
      sameAs: [],
      joins: null,
      alreadyHere: false,
      left: corrections.left?.[id] ?? false,
    };
  });
  for (const program of programs)
    if (program.atEnd)
      program.outputs.push({ path: null, text: program.atEnd.text, why: "stands at the end of the program file" });

  const { unpaired, beside } = placeOthers(others, texts, programs, labelOf, corrections);
  noteRelations(programs, texts, known, course.digest ?? ((fingerprint) => fingerprint));
  return { rule: rule.id, programs, unpaired, beside };
}

function candidatesOf(programs: readonly PlannedCase[], texts: ReadonlyMap<string, string>): PairCandidate[] {
  return programs.map((program) => ({
    id: program.id,
    files: program.files.map((file) => ({ path: file.path, text: texts.get(file.path) ?? "" })),
    language: findLanguage(program.language ?? "") ?? null,
    student: program.student,
  }));
}

/** Pairs outputs with programs; what a program names in quotes lies beside it as data. */
function placeOthers(
  others: readonly string[],
  texts: ReadonlyMap<string, string>,
  programs: PlannedCase[],
  labelOf: (path: string) => string,
  corrections: Corrections,
) {
  const unpaired: Arrangement["unpaired"] = [];
  const beside: Arrangement["beside"] = [];
  const candidates = candidatesOf(programs, texts);
  const byId = new Map(programs.map((program) => [program.id, program]));
  for (const path of others) {
    const text = texts.get(path) ?? "";
    const name = baseName(path);
    const folder = path.slice(0, path.lastIndexOf("/") + 1);
    const users = candidates.filter((candidate) =>
      candidate.files.some(
        (file) => file.path.startsWith(folder) && (file.text.includes(`"${name}"`) || file.text.includes(`'${name}'`)),
      ),
    );
    const chosen = corrections.pairs?.[path];
    if (chosen === undefined && users.length > 0) {
      for (const user of users) byId.get(user.id)?.files.push({ path, name });
      beside.push({ path, users: users.map((user) => user.id) });
      continue;
    }
    if (chosen !== undefined) {
      if (chosen !== "") byId.get(chosen)?.outputs.push({ path, text, why: "chosen by you" });
      else unpaired.push({ path, text, candidates: [] });
      continue;
    }
    const { best, fits } = choosePair({ path, text, student: labelOf(path) }, candidates);
    if (best) byId.get(best.id)?.outputs.push({ path, text, why: best.reasons.join(", ") });
    else unpaired.push({ path, text, candidates: fits.map((fit) => fit.id) });
  }
  return { unpaired, beside };
}

/** Notices the same program by two students, later tries at the same task, and cases that are there already. */
function noteRelations(
  programs: PlannedCase[],
  texts: ReadonlyMap<string, string>,
  known: readonly KnownCase[],
  digest: (fingerprint: string) => string,
): void {
  const prints = new Map<string, PlannedCase[]>();
  const tries = new Map<string, Array<{ program: PlannedCase; number: number }>>();
  for (const program of programs) {
    const language = findLanguage(program.language ?? "") ?? null;
    const print = digest(fingerprintOf(language, program.atEnd?.program ?? texts.get(program.id) ?? ""));
    prints.set(print, [...(prints.get(print) ?? []), program]);
    const same = known.filter((each) => each.fingerprint === print && each.language === program.language);
    program.sameAs.push(
      ...same
        .filter((each) => sameLabel(each.label ?? "") !== sameLabel(program.student))
        .map((each) => each.label ?? each.title),
    );
    program.alreadyHere = same.some((each) => sameLabel(each.label ?? "") === sameLabel(program.student));
    if (program.student === "") continue;
    const { stem, number } = withoutTry(program.id);
    const key = `${sameLabel(program.student)}\n${program.language}\n${stem}`;
    tries.set(key, [...(tries.get(key) ?? []), { program, number }]);
    const earlier = known.find(
      (each) =>
        each.language === program.language &&
        sameLabel(each.label ?? "") === sameLabel(program.student) &&
        withoutTry(each.fileName).stem === stem,
    );
    if (earlier && !program.alreadyHere) program.joins = { kind: "case", key: earlier.key, title: earlier.title };
  }
  for (const same of prints.values())
    for (const program of same)
      program.sameAs.push(
        ...same
          .filter((other) => other !== program && sameLabel(other.student) !== sameLabel(program.student))
          .map((other) => other.student || other.id),
      );
  for (const program of programs) program.sameAs = [...new Set(program.sameAs)];
  for (const list of tries.values()) {
    if (list.length < 2) continue;
    const ordered = list.sort(
      (one, other) => one.number - other.number || one.program.id.localeCompare(other.program.id),
    );
    for (const { program } of ordered.slice(1)) program.joins ??= { kind: "program", id: ordered[0]?.program.id ?? "" };
  }
}
