import * as z from "zod";
import { exerciseCheckSchema, exerciseContentSchema } from "../../core/exercises/exercise.ts";
import type { Database } from "../database/database.ts";
import { asBytes, asJson, bytesColumn, jsonColumn, oneRow, textBytes, timeColumn } from "../database/rows.ts";
import { newKey } from "../keys.ts";

/** What is wanted of a planned set. `tasks`: kinds with their marks. */
export const planWishSchema = z.object({
  count: z.number().int().min(1).max(30),
  classes: z.array(z.enum(["syntax", "runtime", "logic"])),
  level: z.number().int().min(1).max(5).nullable(),
  pattern: z.string().nullable(),
  /** Kinds of mistake to be planted, one exercise each, in neutral programs. */
  kinds: z.array(z.string()).default([]),
  tasks: z.record(z.string(), z.number().int().min(0).max(100)),
});
export type PlanWish = z.infer<typeof planWishSchema>;

/** A planned exercise: its content with tasks and hidden checks, its proof, and what speaks against setting it. */
export const plannedSchema = z.object({
  title: z.string(),
  content: exerciseContentSchema,
  family: z.string(),
  pattern: z.string().nullable(),
  level: z.number(),
  why: z.array(z.string()),
  reasons: z.array(z.string()),
  /** An equal one in another scene; words where none was found. */
  twin: z.union([exerciseContentSchema, z.string()]).optional(),
});
export type Planned = z.infer<typeof plannedSchema>;

const planRow = z.object({
  ...{ key: z.string(), title: z.string(), course: z.string().nullable(), assignment: z.string().nullable() },
  ...{ language: z.string(), file_name: z.string(), program: bytesColumn },
  checks: jsonColumn(z.array(exerciseCheckSchema)),
  wish: jsonColumn(planWishSchema),
  ...{ state: z.enum(["waiting", "done", "failed"]), tried: z.number(), of_all: z.number() },
  planned: textBytes.transform((text) => z.array(plannedSchema).parse(JSON.parse(text))),
  said: jsonColumn(z.array(z.string())),
  ...{ seconds: z.number(), sheet: z.string().nullable(), created_at: timeColumn },
});
export type Plan = z.infer<typeof planRow>;

export type NewPlan = Pick<Plan, "title" | "course" | "assignment" | "language" | "file_name" | "checks" | "wish"> & {
  program: Uint8Array;
};

/** Keeps what is wanted; the work on it comes after. */
export async function addPlan(database: Database, plan: NewPlan): Promise<string> {
  const key = newKey();
  await database.query(
    `insert into plan (key, title, course, assignment, language, file_name, program, checks, wish)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9)`,
    [
      ...[key, plan.title, plan.course, plan.assignment, plan.language, plan.file_name],
      ...[plan.program, asJson(plan.checks), asJson(plan.wish)],
    ],
  );
  return key;
}

export async function findPlan(database: Database, key: string): Promise<Plan | null> {
  return oneRow(
    planRow,
    await database.query(
      `select key, title, course, assignment, language, file_name, program, checks, wish, state, tried, of_all, planned,
         said, seconds, sheet, created_at from plan where key = $1`,
      [key],
    ),
  );
}

const planLine = z.object({ key: z.string(), title: z.string(), state: z.string(), created_at: timeColumn });

/** The newest plans, at most twenty. */
export async function listPlans(database: Database): Promise<Array<z.infer<typeof planLine>>> {
  return z
    .array(planLine)
    .parse(await database.query("select key, title, state, created_at from plan order by created_at desc limit 20"));
}

/** Notes how far the work is. */
export async function notePlan(database: Database, key: string, tried: number, of: number): Promise<void> {
  await database.query("update plan set tried = $2, of_all = $3 where key = $1", [key, tried, of]);
}

/** Keeps what came of it. */
export async function keepPlan(
  database: Database,
  key: string,
  result: { planned: readonly Planned[]; said: readonly string[]; seconds: number },
): Promise<void> {
  await database.query("update plan set state = $2, planned = $3, said = $4, seconds = $5 where key = $1", [
    key,
    result.planned.length > 0 ? "done" : "failed",
    asBytes(asJson(result.planned)),
    asJson(result.said),
    result.seconds,
  ]);
}

/** Says that a plan is worked on once more. */
export async function reopenPlan(database: Database, key: string, of: number): Promise<void> {
  await database.query("update plan set state = 'waiting', tried = 0, of_all = $2 where key = $1", [key, of]);
}

/** Writes down which sheet was made of a plan. */
export async function noteSheetOfPlan(database: Database, key: string, sheet: string): Promise<void> {
  await database.query("update plan set sheet = $2 where key = $1", [key, sheet]);
}
