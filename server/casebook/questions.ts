import { findPattern } from "../../core/patterns/patterns.ts";
import { findWording } from "../../core/wording/wordings.ts";
import { type CaseFilter, distances } from "../cases/recordFilterStore.ts";
import type { Database } from "../database/database.ts";
import {
  countBy,
  countByAssignment,
  countByDistance,
  countByMessage,
  countByStudent,
  countByWeek,
  countByWorkingTime,
  workingTimes,
} from "./questionStore.ts";
import { lastDayOf } from "./weeks.ts";

/** A row of an answer: what stands in its cells, and the cases behind it (null where they cannot be looked up). */
export type AnswerRow = { cells: Array<string | number>; filter: CaseFilter | null };

/**
 * The answer to a question: a table, and what of it is drawn. `series` are columns that are drawn, each by its number; those of "stacked" lie upon
 * each other.
 */
export type Answer = {
  columns: string[];
  rows: AnswerRow[];
  chart: "bars" | "stacked" | "line";
  series: number[];
  /** What is to be known of how it was counted. */
  note: string;
};

/** Something that the Casebook answers: who asks it is narrowed to what a list can be narrowed to. */
export type Question = {
  id: string;
  asks: string;
  answer: (database: Pick<Database, "query">, filter: CaseFilter) => Promise<Answer>;
};

/** Rows of a list that says the most frequent first. */
const most = 15;
const nameOf = (pattern: string | null) =>
  pattern === null ? "not known yet" : (findPattern(pattern)?.name ?? pattern);
const percent = (part: number, of: number) => (of === 0 ? "" : `${Math.round((100 * part) / of)} %`);
/** The plain names of the classes; a page says them in its course's words. */
const classNames: Readonly<Record<string, string>> = findWording(null).labels;

const byPattern: Question = {
  id: "kinds",
  asks: "Which mistakes are made most?",
  answer: async ({ query }, filter) => {
    const rows = await countBy(query, "pattern", filter);
    const all = rows.reduce((sum, row) => sum + row.faults, 0);
    const sure = rows.reduce((sum, row) => sum + row.sure, 0);
    return {
      columns: ["kind of mistake", "faults", "share", "students", "confirmed"],
      // What is not known comes last: it says nothing of the others.
      rows: [...rows.filter(({ of }) => of !== null).slice(0, most), ...rows.filter(({ of }) => of === null)].map(
        ({ of, faults, students, sure }) => ({
          cells: [nameOf(of), faults, percent(faults, all), students, sure],
          filter: of === null ? { state: "nopattern" } : { pattern: of },
        }),
      ),
      ...{ chart: "bars", series: [1] },
      note: `${all} faults; the kind is confirmed by a teacher for ${sure}, else as the evidence suggests.`,
    };
  },
};

const byClass: Question = {
  id: "classes",
  asks: "How do the faults show?",
  answer: async ({ query }, filter) => {
    const rows = await countBy(query, "class", filter);
    const all = rows.reduce((sum, row) => sum + row.faults, 0);
    return {
      columns: ["class", "faults", "share", "students", "confirmed"],
      rows: rows.map(({ of, faults, students, sure }) => ({
        cells: [classNames[of ?? ""] ?? "", faults, percent(faults, all), students, sure],
        filter: { class: of ?? "" },
      })),
      ...{ chart: "bars", series: [1] },
      note: "The class that a teacher decided, else as the evidence suggests.",
    };
  },
};

const byWeek: Question = {
  id: "weeks",
  asks: "Is it getting better?",
  answer: async ({ query }, filter) => {
    const rows = await countByWeek(query, filter);
    return {
      columns: ["week of", "faults per program", "faults", "programs", "syntax error", "runtime error", "logic error"],
      rows: rows.map(({ week, programs, faults, syntax, runtime, logic }) => ({
        cells: [
          week,
          programs === 0 ? 0 : Math.round((100 * faults) / programs) / 100,
          faults,
          programs,
          syntax,
          runtime,
          logic,
        ],
        filter: { since: week, until: lastDayOf(week) },
      })),
      ...{ chart: "line", series: [1] },
      note: "Faults per program that was collected in that week; programs without a fault count as well. Choose a kind of mistake above to see it alone.",
    };
  },
};

const byMessage: Question = {
  id: "messages",
  asks: "Which messages mislead?",
  answer: async ({ query }, filter) => {
    const rows = await countByMessage(query, filter, most);
    return {
      columns: [
        "message, without names and numbers",
        "misleads",
        "partly",
        "agrees",
        "not said",
        "named another line",
        "faults",
      ],
      rows: rows.map(({ signature, misleads, partly, agrees, unsaid, apart, faults }) => ({
        cells: [signature, misleads, partly, agrees, unsaid, apart, faults],
        filter: { signature },
      })),
      ...{ chart: "stacked", series: [1, 2, 3, 4] },
      note: "What a message was worth is said on the case, beside its messages. “Named another line”: the faulty line is marked and is not the one that the message named.",
    };
  },
};

const byDistance: Question = {
  id: "distance",
  asks: "How far is the faulty line from the reported one?",
  answer: async ({ query }, filter) => {
    const rows = new Map((await countByDistance(query, filter)).map(({ of, faults }) => [of, faults]));
    const all = [...rows.values()].reduce((sum, each) => sum + each, 0);
    return {
      columns: ["where the line was reported", "faults", "share"],
      rows: Object.entries(distances).map(([id, { words }]) => ({
        cells: [words, rows.get(id) ?? 0, percent(rows.get(id) ?? 0, all)],
        filter: { distance: id },
      })),
      ...{ chart: "bars", series: [1] },
      note: "Only faults whose line is marked, and those of which no line was reported.",
    };
  },
};

const byWorkingTime: Question = {
  id: "working",
  asks: "How long until a version works?",
  answer: async ({ query }, filter) => {
    const rows = new Map((await countByWorkingTime(query, filter)).map(({ of, programs }) => [of, programs]));
    const all = [...rows.values()].reduce((sum, each) => sum + each, 0);
    return {
      columns: ["from the first version to one that works", "programs", "share"],
      rows: workingTimes.map(({ id, words }) => ({
        cells: [words, rows.get(id) ?? 0, percent(rows.get(id) ?? 0, all)],
        filter: null,
      })),
      ...{ chart: "bars", series: [1] },
      note: "By the versions that were handed in. A version works if it was said to, or if it passes the checks of its assignment.",
    };
  },
};

const byStudent: Question = {
  id: "students",
  asks: "Who needs help with what?",
  answer: async ({ query }, filter) => {
    const rows = await countByStudent(query, filter, 40);
    return {
      columns: ["student", "kind of mistake", "made", "in programs", "not mended"],
      rows: rows.map(({ student, label, pattern, faults, programs, open }) => ({
        cells: [label, nameOf(pattern), faults, programs, open],
        filter: { student, pattern },
      })),
      ...{ chart: "bars", series: [2] },
      note: "Mistakes that one student made more than once.",
    };
  },
};

const byAssignment: Question = {
  id: "assignments",
  asks: "Which assignment brings which mistakes?",
  answer: async ({ query }, filter) => {
    const rows = await countByAssignment(query, filter);
    return {
      columns: ["assignment", "syntax error", "runtime error", "logic error", "faults", "programs", "most often"],
      rows: rows.map(({ assignment, title, syntax, runtime, logic, faults, programs, pattern }) => ({
        cells: [title, syntax, runtime, logic, faults, programs, pattern === null ? "" : nameOf(pattern)],
        filter: { assignment },
      })),
      ...{ chart: "stacked", series: [1, 2, 3] },
      note: "",
    };
  },
};

/** Everything that the Casebook answers; a new question is one entry here. */
export const questions: readonly Question[] = [
  ...[byPattern, byClass, byWeek, byMessage, byDistance, byWorkingTime, byStudent, byAssignment],
];
