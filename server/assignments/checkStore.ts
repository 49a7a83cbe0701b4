import { z } from "zod";
import type { CheckEdition } from "../../core/cases/case.ts";
import { type Surroundings, surroundingsSchema } from "../../core/cases/surroundings.ts";
import type { Query } from "../database/database.ts";
import { asBytes, asJson, jsonColumn, textBytes } from "../database/rows.ts";
import { newKey } from "../keys.ts";

export const checkKindSchema = z.enum(["normal", "boundary", "erroneous"]);

const checkRow = z.object({
  key: z.string(),
  edition: z.number(),
  input: textBytes,
  expected: textBytes.nullable(),
  kind: checkKindSchema,
  ignore_prompts: z.boolean(),
  handed_in: z.boolean(),
  visible: z.boolean(),
  surroundings: jsonColumn(surroundingsSchema),
});
/** A check of a case. `ignore_prompts` is what holds for it: its own rule of comparing, else its assignment's. */
export type ProgramCheck = z.infer<typeof checkRow>;

/** What a person says of a check. */
export type CheckInput = {
  input: string;
  expected: string | null;
  kind: z.infer<typeof checkKindSchema>;
  /** Absent: as its assignment says. */
  ignorePrompts?: boolean;
  surroundings?: Surroundings;
};

/** The checks of a case in their order; a case has at least the one that it was collected with. */
export async function listChecks(query: Query, faultyCase: string): Promise<ProgramCheck[]> {
  const rows = await query(
    `select c.key, c.edition, c.input, c.expected, c.kind, c.handed_in, c.visible, c.surroundings,
       coalesce((c.comparison ->> 'ignorePrompts')::boolean, (a.comparison ->> 'ignorePrompts')::boolean, false) as ignore_prompts
     from program_check c join faulty_case f on f.key = c.faulty_case left join assignment a on a.key = f.assignment
     where c.faulty_case = $1 order by c.position`,
    [faultyCase],
  );
  return z.array(checkRow).parse(rows);
}

function valuesOf(check: CheckInput): unknown[] {
  return [
    asBytes(check.input),
    check.expected === null ? null : asBytes(check.expected),
    check.kind,
    asJson({ ignorePrompts: check.ignorePrompts }),
    asJson(check.surroundings ?? {}),
  ];
}

/** Adds a check at the end of a case's. `handedIn`: it was handed in with the program. Returns its key. */
export async function insertCheck(
  query: Query,
  faultyCase: string,
  check: CheckInput,
  handedIn = false,
): Promise<string> {
  const key = newKey();
  await query(
    `insert into program_check (input, expected, kind, comparison, surroundings, key, faulty_case, handed_in, position)
     values ($1, $2, $3, $4, $5, $6, $7, $8, (select coalesce(max(position) + 1, 0) from program_check where faulty_case = $7))`,
    [...valuesOf(check), key, faultyCase, handedIn],
  );
  return key;
}

/** Changes a check of a case; its edition goes up, so that its runs are made again and those of the others stay. */
export async function updateCheck(query: Query, faultyCase: string, key: string, check: CheckInput): Promise<void> {
  await query(
    `update program_check set input = $1, expected = $2, kind = $3, comparison = $4, surroundings = $5, edition = edition + 1
     where key = $6 and faulty_case = $7`,
    [...valuesOf(check), key, faultyCase],
  );
}

/** Takes a check of a case away, but not the one that was handed in; its runs go with it. */
export async function deleteCheck(query: Query, faultyCase: string, key: string): Promise<void> {
  await query("delete from program_check where key = $1 and faulty_case = $2 and not handed_in", [key, faultyCase]);
}

/** The checks as they are now, for what rests on them. */
export function editionsOf(checks: readonly ProgramCheck[]): CheckEdition[] {
  return checks.map(({ key, edition }) => ({ check: key, edition }));
}
