import * as z from "zod";
import { combineChecks } from "../../core/assignments/combineChecks.ts";
import { type Comparison, comparisonSchema, mergeComparison } from "../../core/assignments/comparison.ts";
import { type IntendedPiece, intendedPieceSchema } from "../../core/assignments/intended.ts";
import type { CheckEdition } from "../../core/cases/case.ts";
import { type Surroundings, surroundingsSchema } from "../../core/cases/surroundings.ts";
import type { Query } from "../database/database.ts";
import { asBytes, asJson, asPlainText, jsonColumn, oneRow, textBytes } from "../database/rows.ts";
import { newKey } from "../keys.ts";
import { findModelAnswer, settingOf } from "./modelStore.ts";

export const checkKindSchema = z.enum(["normal", "boundary", "erroneous"]);

const checkRow = z.object({
  key: z.string(),
  edition: z.number(),
  name: z.string(),
  purpose: z.string(),
  input: textBytes,
  expected: textBytes.nullable(),
  pieces: jsonColumn(z.array(intendedPieceSchema).nullable()),
  kind: checkKindSchema,
  comparison: jsonColumn(comparisonSchema),
  handed_in: z.boolean(),
  visible: z.boolean(),
  surroundings: jsonColumn(surroundingsSchema),
  worked_out_by: z.string().nullable(),
  confirmed: z.boolean(),
});
const checkColumns = `c.key, c.edition, c.name, c.purpose, c.input, c.expected, coalesce(c.pieces, 'null') as pieces, c.kind,
  c.comparison, c.handed_in, c.visible, c.surroundings, c.worked_out_by, c.confirmed`;

/** A check as it is kept; `comparison` holds its own rules only, those of its assignment stand behind them. */
export type KeptCheck = z.infer<typeof checkRow>;

/**
 * A check as it judges a case: its own or its assignment's. `comparison` holds all rules; `expected` and `pieces` what
 * counts as intended, and `recorded` what was recorded with the check itself (core/assignments/combineChecks.ts).
 */
export type ProgramCheck = KeptCheck & {
  of_assignment: boolean;
  /** Its own rules of comparing, without those of its assignment. */
  ownComparison: Comparison;
  recorded: string | null;
  from: "assignment" | "model" | null;
  conflict: boolean;
};

/** What a person says of a check. */
export type CheckInput = {
  input: string;
  expected: string | null;
  kind: z.infer<typeof checkKindSchema>;
  /** Rules of comparing that differ from those of the assignment. */
  comparison?: Comparison;
  surroundings?: Surroundings;
  name?: string;
  purpose?: string;
  visible?: boolean;
  /** The intended output as a model gave it, and that model. */
  pieces?: IntendedPiece[] | null;
  workedOutBy?: string | null;
  /** False: a proposal, which judges nothing yet. */
  confirmed?: boolean;
};

/** Whom a check belongs to, and its key there. */
export type CheckOwner = { faultyCase: string } | { assignment: string };

const ownerColumn = (owner: CheckOwner) => ("faultyCase" in owner ? "faulty_case" : "assignment");
const ownerKey = (owner: CheckOwner) => ("faultyCase" in owner ? owner.faultyCase : owner.assignment);

const combinedRow = checkRow.extend({
  of_assignment: z.boolean(),
  rules: jsonColumn(comparisonSchema),
  assignment: z.string().nullable(),
});

/**
 * The checks of a case as they judge it, in their order; it has at least the one that it was collected with. Those of its
 * assignment are among them.
 */
export async function listChecks(query: Query, faultyCase: string): Promise<ProgramCheck[]> {
  const rows = z.array(combinedRow).parse(
    await query(
      `select ${checkColumns}, c.assignment is not null as of_assignment, f.assignment, coalesce(a.comparison, '{}') as rules
       from faulty_case f join program_check c on c.faulty_case = f.key or (c.assignment = f.assignment and c.confirmed)
         left join assignment a on a.key = f.assignment
       where f.key = $1 order by c.position`,
      [faultyCase],
    ),
  );
  const checks = rows.map(({ rules, assignment: _, ...row }) => ({
    ...row,
    ownComparison: row.comparison,
    comparison: mergeComparison(rules, row.comparison),
    recorded: row.expected,
    from: null,
    conflict: false,
  }));
  const asked = rows.find((row) => row.handed_in && row.expected === null && row.assignment !== null);
  const answer = asked?.assignment ? await findModelAnswer({ query }, asked.assignment, settingOf(asked)) : null;
  return combineChecks<ProgramCheck>(checks, answer?.pieces ?? null);
}

/** The checks of an assignment in their order, proposals among them. */
export async function listAssignmentChecks({ query }: { query: Query }, assignment: string): Promise<KeptCheck[]> {
  return z
    .array(checkRow)
    .parse(
      await query(`select ${checkColumns} from program_check c where c.assignment = $1 order by c.position`, [
        assignment,
      ]),
    );
}

/** What an overview says of an assignment's checks, those that judge, in their order; no inputs and outputs. */
export async function listCheckHeads({ query }: { query: Query }, assignment: string) {
  const rows = await query(
    "select key, edition, name, purpose, kind from program_check where assignment = $1 and confirmed order by position",
    [assignment],
  );
  return z
    .array(z.object({ key: z.string(), edition: z.number(), name: z.string(), purpose: z.string(), kind: z.string() }))
    .parse(rows);
}

/** What students may see of an assignment's checks: those that are said to be visible and judge, without their rules. */
export async function listVisibleChecks({ query }: { query: Query }, assignment: string) {
  const rows = await query(
    "select name, purpose, input, expected from program_check where assignment = $1 and visible and confirmed order by position",
    [assignment],
  );
  return z
    .array(z.object({ name: z.string(), purpose: z.string(), input: textBytes, expected: textBytes.nullable() }))
    .parse(rows);
}

/** A check of an assignment, or null. */
export async function findAssignmentCheck(query: Query, assignment: string, key: string): Promise<KeptCheck | null> {
  const rows = await query(`select ${checkColumns} from program_check c where c.assignment = $1 and c.key = $2`, [
    ...[assignment, key],
  ]);
  return oneRow(checkRow, rows);
}

function valuesOf(check: CheckInput): unknown[] {
  return [
    ...[asBytes(check.input), check.expected === null ? null : asBytes(check.expected), check.kind],
    ...[asJson(check.comparison ?? {}), asJson(check.surroundings ?? {}), asPlainText(check.name ?? "")],
    asPlainText(check.purpose ?? ""),
    ...[check.visible ?? false, check.pieces ? asJson(check.pieces) : null, check.workedOutBy ?? null],
    check.confirmed ?? true,
  ];
}

/** Adds a check at the end of its owner's. `handedIn`: it was handed in with the program. Returns its key. */
export async function insertCheck(
  query: Query,
  owner: CheckOwner,
  check: CheckInput,
  handedIn = false,
): Promise<string> {
  const key = newKey();
  const column = ownerColumn(owner);
  await query(
    `insert into program_check (input, expected, kind, comparison, surroundings, name, purpose, visible, pieces, worked_out_by,
       confirmed, key, ${column}, handed_in, position)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14,
       (select coalesce(max(position) + 1, 0) from program_check where ${column} = $13))`,
    [...valuesOf(check), key, ownerKey(owner), handedIn],
  );
  return key;
}

/** Changes a check; its edition goes up, so that its runs are made again and those of the others stay. */
export async function updateCheck(query: Query, owner: CheckOwner, key: string, check: CheckInput): Promise<void> {
  await query(
    `update program_check set input = $1, expected = $2, kind = $3, comparison = $4, surroundings = $5, name = $6, purpose = $7,
       visible = $8, pieces = $9, worked_out_by = $10, confirmed = $11, edition = edition + 1
     where key = $12 and ${ownerColumn(owner)} = $13`,
    [...valuesOf(check), key, ownerKey(owner)],
  );
}

/** Takes a check away, but not one that was handed in with a case; its runs go with it. */
export async function deleteCheck(query: Query, owner: CheckOwner, key: string): Promise<void> {
  await query(`delete from program_check where key = $1 and ${ownerColumn(owner)} = $2 and not handed_in`, [
    ...[key, ownerKey(owner)],
  ]);
}

/** Puts the checks of an assignment into an order; the keys that are not named stay behind. */
export async function orderChecks(query: Query, assignment: string, keys: readonly string[]): Promise<void> {
  await query(
    `update program_check c set position = o.position from
       (select value as key, ordinality as position from jsonb_array_elements_text($2::jsonb) with ordinality) o
     where c.key = o.key and c.assignment = $1`,
    [assignment, asJson(keys)],
  );
}

/** The checks as they are now, for what rests on them. */
export function editionsOf(checks: readonly ProgramCheck[]): CheckEdition[] {
  return checks.map(({ key, edition }) => ({ check: key, edition }));
}

/** A check as a person said it, from how it is kept: for writing it again with a part changed. */
export function inputOf(check: KeptCheck): CheckInput & { confirmed: boolean } {
  const { input, expected, kind, comparison, surroundings, name, purpose, visible, pieces, confirmed } = check;
  return {
    ...{ input, expected, kind, comparison, surroundings, name, purpose, visible, pieces, confirmed },
    workedOutBy: check.worked_out_by,
  };
}
