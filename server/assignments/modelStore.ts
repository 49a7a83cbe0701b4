import { createHash } from "node:crypto";
import * as z from "zod";
import { type IntendedPiece, intendedPieceSchema } from "../../core/assignments/intended.ts";
import type { Surroundings } from "../../core/cases/surroundings.ts";
import { type Outcome, outcomeSchema, type ProgramFiles } from "../../core/outcome/outcome.ts";
import type { Query } from "../database/database.ts";
import { asJson, bytesColumn, jsonColumn } from "../database/rows.ts";
import { newKey } from "../keys.ts";

/** A program that does what an assignment asks for. */
export type Model = { key: string; language: string; files: ProgramFiles };

const modelRow = z.object({ key: z.string(), language: z.string(), name: z.string(), bytes: bytesColumn });

/** The models of an assignment in their order, each with its files. */
export async function listModels({ query }: { query: Query }, assignment: string): Promise<Model[]> {
  const rows = z.array(modelRow).parse(
    await query(
      `select m.key, m.language, f.name, f.bytes from model_program m join model_file f on f.model = m.key
         where m.assignment = $1 order by m.position, m.created_at, m.key, f.position`,
      [assignment],
    ),
  );
  const keys = [...new Set(rows.map((row) => row.key))];
  return keys.map((key) => {
    const own = rows.filter((row) => row.key === key);
    return { key, language: own[0]?.language ?? "", files: own.map(({ name, bytes }) => ({ name, bytes })) };
  });
}

const modelled = z.object({ key: z.string(), title: z.string(), course_name: z.string() });

/** Assignments that have a model, by title. */
export async function listAssignmentsWithModels({ query }: { query: Query }): Promise<Array<z.infer<typeof modelled>>> {
  return z.array(modelled).parse(
    await query(
      `select a.key, a.title, c.name as course_name from assignment a join course c on c.key = a.course
         where exists (select 1 from model_program m where m.assignment = a.key) order by a.title, a.key limit 200`,
    ),
  );
}

/** Adds a model at the end of an assignment's; returns its key. */
export async function insertModel(
  query: Query,
  assignment: string,
  language: string,
  files: ProgramFiles,
): Promise<string> {
  const key = newKey();
  await query(
    `insert into model_program (key, assignment, language, position)
     values ($1, $2, $3, (select coalesce(max(position) + 1, 0) from model_program where assignment = $2))`,
    [key, assignment, language],
  );
  for (const [position, file] of files.entries())
    await query("insert into model_file (model, position, name, bytes) values ($1, $2, $3, $4)", [
      ...[key, position, file.name, file.bytes],
    ]);
  return key;
}

/** Takes a model away; intended outputs that it worked out stay. */
export async function deleteModel(query: Query, assignment: string, key: string): Promise<void> {
  await query("delete from model_program where key = $1 and assignment = $2", [key, assignment]);
}

/** What a model's run depends on beside the model: what is typed in and what lies beside it, as a digest. */
export function settingOf(setting: { input: string; surroundings: Surroundings }): string {
  const beside = Object.entries(setting.surroundings).sort(([one], [other]) => (one < other ? -1 : 1));
  return createHash("sha256")
    .update(JSON.stringify([setting.input, beside]))
    .digest("base64url");
}

const runRow = z.object({
  model: z.string(),
  setting: z.string(),
  translator: z.string(),
  outcome: jsonColumn(outcomeSchema),
  pieces: jsonColumn(z.array(intendedPieceSchema).nullable()),
});
/** What a model did under a setting; `pieces`: the intended output that follows, null where it did not end well. */
export type ModelRun = z.infer<typeof runRow>;

/** The kept runs of all models of an assignment. */
export async function listModelRuns({ query }: { query: Query }, assignment: string): Promise<ModelRun[]> {
  return z.array(runRow).parse(
    await query(
      `select r.model, r.setting, r.translator, r.outcome, coalesce(r.pieces, 'null') as pieces
         from model_run r join model_program m on m.key = r.model where m.assignment = $1`,
      [assignment],
    ),
  );
}

/** Keeps a run of a model, unless the model was taken away while it ran. */
export async function saveModelRun(
  { query }: { query: Query },
  run: { model: string; setting: string; translator: string; outcome: Outcome; pieces: IntendedPiece[] | null },
): Promise<void> {
  await query(
    `insert into model_run (model, setting, translator, outcome, pieces) select key, $2, $3, $4, $5 from model_program where key = $1
     on conflict (model, setting) do update set translator = excluded.translator, outcome = excluded.outcome, pieces = excluded.pieces`,
    [run.model, run.setting, run.translator, asJson(run.outcome), run.pieces === null ? null : asJson(run.pieces)],
  );
}

/** The intended output that the first model which knows it gives for a setting, or null. */
export async function findModelAnswer(
  { query }: { query: Query },
  assignment: string,
  setting: string,
): Promise<{ model: string; pieces: IntendedPiece[] } | null> {
  const rows = z.array(z.object({ model: z.string(), pieces: jsonColumn(z.array(intendedPieceSchema)) })).parse(
    await query(
      `select r.model, r.pieces from model_program m join model_run r on r.model = m.key
         where m.assignment = $1 and r.setting = $2 and r.pieces is not null order by m.position, m.created_at limit 1`,
      [assignment, setting],
    ),
  );
  return rows[0] ?? null;
}
