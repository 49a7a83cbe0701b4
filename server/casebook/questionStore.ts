import * as z from "zod";
import { type CaseFilter, distances, recordConditions } from "../cases/recordFilterStore.ts";
import type { Query } from "../database/database.ts";

/** The where of a question: the filter's conditions, and those of its own. Values come first, so that further ones go on behind them. */
function narrowed(filter: CaseFilter, ...own: string[]): { where: string; values: unknown[] } {
  const { conditions, values } = recordConditions(filter);
  return { where: [...conditions, ...own].join(" and ") || "true", values };
}

/** A fault counts where one shows and nobody said that it is none. */
const isFault = "r.class is not null and coalesce(r.outcome, 'fault') = 'fault'";

const counted = z.object({ of: z.string().nullable(), faults: z.number(), students: z.number(), sure: z.number() });

/** Faults by a column of the record: how many, of how many students, and how many of them a teacher has confirmed. */
export async function countBy(query: Query, column: "pattern" | "class", filter: CaseFilter) {
  const { where, values } = narrowed(filter, isFault);
  const sure = column === "pattern" ? "r.pattern_confirmed" : "r.confirmed";
  return z.array(counted).parse(
    await query(
      `select r.${column} as of, count(*)::int as faults, count(distinct r.student)::int as students, count(*) filter (where ${sure})::int as sure
       from record r where ${where} group by r.${column} order by faults desc, r.${column}`,
      values,
    ),
  );
}

const weekRow = z.object({
  week: z.string(),
  programs: z.number(),
  faults: z.number(),
  syntax: z.number(),
  runtime: z.number(),
  logic: z.number(),
});

/** Programs and faults by week (the Monday, as a date). Programs without a fault count as well: they are what it gets better by. */
export async function countByWeek(query: Query, filter: CaseFilter) {
  const { pattern, class: of, cause, ...programs } = filter;
  const all = narrowed(programs);
  const extra = recordConditions({ pattern, class: of, cause }, all.values.length + 1);
  const fault = [isFault, ...extra.conditions].join(" and ");
  const each = (name: string) => `count(*) filter (where ${fault} and r.class = '${name}')::int as ${name}`;
  return z.array(weekRow).parse(
    await query(
      `select to_char(date_trunc('week', r.created_at at time zone 'UTC'), 'YYYY-MM-DD') as week, count(*) filter (where r.position = 1)::int as programs,
         count(*) filter (where ${fault})::int as faults, ${each("syntax")}, ${each("runtime")}, ${each("logic")}
       from record r where ${all.where} group by 1 order by 1`,
      [...all.values, ...extra.values],
    ),
  );
}

const messageRow = z.object({
  signature: z.string(),
  language: z.string(),
  faults: z.number(),
  agrees: z.number(),
  partly: z.number(),
  misleads: z.number(),
  unsaid: z.number(),
  apart: z.number(),
});

/** What messages were worth: by the message without names and numbers, how often a teacher said what, and how often it named another line. */
export async function countByMessage(query: Query, filter: CaseFilter, most: number) {
  const { where, values } = narrowed(filter, isFault, "r.signature is not null");
  const worth = (name: string) => `count(*) filter (where r.advice = '${name}')::int as ${name}`;
  return z.array(messageRow).parse(
    await query(
      `select r.signature, min(r.language) as language, count(*)::int as faults, ${worth("agrees")}, ${worth("partly")}, ${worth("misleads")},
         count(*) filter (where r.advice is null or r.advice = 'none')::int as unsaid,
         count(*) filter (where r.distance <> 0)::int as apart
       from record r where ${where} group by r.signature
       order by count(*) filter (where r.advice = 'misleads') desc, count(*) filter (where r.distance <> 0) desc, faults desc, r.signature limit ${most}`,
      values,
    ),
  );
}

const bucketRow = z.object({ of: z.string(), faults: z.number() });

/** Faults by how far the reported line is from the faulty one; only those whose faulty line is marked, or that named none. */
export async function countByDistance(query: Query, filter: CaseFilter) {
  const { where, values } = narrowed(filter, isFault, "(r.distance is not null or r.reported_line is null)");
  const cases = Object.entries(distances).map(([id, { condition }]) => `when ${condition} then '${id}'`);
  return z
    .array(bucketRow)
    .parse(
      await query(
        `select case ${cases.join(" ")} else 'none' end as of, count(*)::int as faults from record r where ${where} group by 1`,
        values,
      ),
    );
}

const workingRow = z.object({ of: z.string(), programs: z.number() });
/** How long from the first version that was handed in to the first that worked, with the longest time of each (seconds). */
export const workingTimes = [
  { id: "at once", words: "the first one worked", upTo: 0 },
  { id: "minutes", words: "up to 10 minutes", upTo: 600 },
  { id: "hour", words: "up to an hour", upTo: 3600 },
  { id: "day", words: "up to a day", upTo: 86_400 },
  { id: "week", words: "up to a week", upTo: 7 * 86_400 },
  { id: "longer", words: "longer", upTo: null },
  { id: "not yet", words: "none has worked yet", upTo: null },
] as const;

/** Programs by how long it took until a version of them worked. */
export async function countByWorkingTime(query: Query, filter: CaseFilter) {
  const { where, values } = narrowed(filter, "r.position = 1");
  const cases = workingTimes.flatMap(({ id, upTo }) =>
    upTo === null ? [] : [`when r.working_seconds <= ${upTo} then '${id}'`],
  );
  return z.array(workingRow).parse(
    await query(
      `select case when r.working_seconds is null then 'not yet' ${cases.join(" ")} else 'longer' end as of, count(*)::int as programs
       from record r where ${where} group by 1`,
      values,
    ),
  );
}

const studentRow = z.object({
  student: z.string(),
  label: z.string(),
  pattern: z.string(),
  faults: z.number(),
  programs: z.number(),
  open: z.number(),
});

/** Who makes which mistake more than once, most often first; `programs`: in how many programs, of those that are asked about. */
export async function countByStudent(query: Query, filter: CaseFilter, most: number) {
  const { where, values } = narrowed(filter, isFault, "r.pattern is not null", "r.student is not null");
  return z.array(studentRow).parse(
    await query(
      `select g.student, s.label, g.pattern, g.faults, g.open,
         (select count(distinct r.faulty_case)::int from record r where ${where} and r.student = g.student and r.pattern = g.pattern) as programs from (
         select r.student, r.pattern, count(*)::int as faults, count(*) filter (where r.state <> 'verified')::int as open
         from record r where ${where} group by r.student, r.pattern having count(*) > 1
         order by faults desc, r.student, r.pattern limit ${most}) g join student s on s.key = g.student
       order by g.faults desc, s.label, g.pattern`,
      values,
    ),
  );
}

const assignmentRow = z.object({
  assignment: z.string(),
  title: z.string(),
  programs: z.number(),
  faults: z.number(),
  syntax: z.number(),
  runtime: z.number(),
  logic: z.number(),
  pattern: z.string().nullable(),
});

/** Which assignment brings which faults: by class, with the kind of mistake that it brings most often. */
export async function countByAssignment(query: Query, filter: CaseFilter) {
  const { where, values } = narrowed(filter, "r.assignment is not null");
  const each = (name: string) => `count(*) filter (where ${isFault} and r.class = '${name}')::int as ${name}`;
  return z.array(assignmentRow).parse(
    await query(
      `select g.*, a.title from (
         select r.assignment, count(distinct r.faulty_case)::int as programs, count(*) filter (where ${isFault})::int as faults,
           ${each("syntax")}, ${each("runtime")}, ${each("logic")}, mode() within group (order by r.pattern) filter (where ${isFault}) as pattern
         from record r where ${where} group by r.assignment) g join assignment a on a.key = g.assignment order by a.position, a.title`,
      values,
    ),
  );
}
