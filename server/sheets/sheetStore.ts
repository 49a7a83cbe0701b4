import * as z from "zod";
import { exerciseContentSchema } from "../../core/exercises/exercise.ts";
import { type SittingRules, sittingRulesSchema } from "../../core/sittings/sittingRules.ts";
import type { Database, Query } from "../database/database.ts";
import { asJson, jsonColumn, oneRow, timeColumn } from "../database/rows.ts";
import { newCode, newKey } from "../keys.ts";

const sheetRow = z.object({
  key: z.string(),
  course: z.string(),
  course_name: z.string(),
  wording: z.string(),
  title: z.string(),
  code: z.string(),
  state: z.enum(["draft", "set", "closed"]),
  released_at: timeColumn.nullable(),
  revision: z.number(),
  created_at: timeColumn,
  rules: jsonColumn(sittingRulesSchema),
  /** What the teacher says to all who sit it; "" for nothing. */
  word: z.string(),
  /** Since when nobody can write; null: everybody can. */
  paused_at: timeColumn.nullable(),
  /** When what is written is collected by itself. */
  bell_at: timeColumn.nullable(),
});
export type Sheet = z.infer<typeof sheetRow>;
const sheetSelect =
  "select s.key, s.course, c.name as course_name, c.wording, s.title, s.code, s.state, s.released_at, s.revision, s.created_at, s.rules, s.word, s.paused_at, s.bell_at from sheet s join course c on c.key = s.course";

const placedRow = z.object({
  key: z.string(),
  title: z.string(),
  content: jsonColumn(exerciseContentSchema),
  level: z.number().nullable(),
  position: z.number(),
  /** The part of the sheet that it belongs to; "" for none. */
  section: z.string(),
});
export type PlacedExercise = z.infer<typeof placedRow>;

/** A sheet as it was set: what sittings and marks refer to. */
export const editionContentSchema = z.object({
  title: z.string(),
  exercises: z.array(
    z.object({
      ...{ key: z.string(), title: z.string(), level: z.number(), content: exerciseContentSchema },
      section: z.string().default(""),
    }),
  ),
});
export type EditionContent = z.output<typeof editionContentSchema>;
/** The same as whoever sets a sheet writes it: what is left out is as usual. */
export type EditionToSet = z.input<typeof editionContentSchema>;
const editionRow = z.object({
  key: z.string(),
  sheet: z.string(),
  number: z.number(),
  content: jsonColumn(editionContentSchema),
  created_at: timeColumn,
});
export type Edition = z.infer<typeof editionRow>;

export async function addSheet(database: Database, course: string, title: string): Promise<string> {
  const key = newKey();
  await database.query("insert into sheet (key, course, title, code) values ($1, $2, $3, $4)", [
    key,
    course,
    title,
    newCode(8),
  ]);
  return key;
}

export async function listSheets(database: Database): Promise<Sheet[]> {
  return z.array(sheetRow).parse(await database.query(`${sheetSelect} order by s.created_at desc`));
}

export async function findSheet(database: Database, key: string): Promise<Sheet | null> {
  return oneRow(sheetRow, await database.query(`${sheetSelect} where s.key = $1`, [key]));
}

export async function findSheetByCode(database: Database, code: string): Promise<Sheet | null> {
  return oneRow(sheetRow, await database.query(`${sheetSelect} where s.code = $1`, [code.trim().toUpperCase()]));
}

export async function listPlaced(database: { query: Query }, sheet: string): Promise<PlacedExercise[]> {
  return z
    .array(placedRow)
    .parse(
      await database.query(
        "select e.key, e.title, e.content, p.level, p.position, p.section from sheet_exercise p join exercise e on e.key = p.exercise where p.sheet = $1 order by p.position",
        [sheet],
      ),
    );
}

/** Puts an exercise at the end of a sheet; does nothing if it is on it already. */
export async function placeExercise(database: Database, sheet: string, exercise: string): Promise<void> {
  await database.query(
    "insert into sheet_exercise (sheet, exercise, position) values ($1, $2, (select coalesce(max(position), 0) + 1 from sheet_exercise where sheet = $1)) on conflict do nothing",
    [sheet, exercise],
  );
}

export async function removeExercise(database: Database, sheet: string, exercise: string): Promise<void> {
  await database.query("delete from sheet_exercise where sheet = $1 and exercise = $2", [sheet, exercise]);
}

/** Moves an exercise one place up (-1) or down (1). */
export async function moveExercise(database: Database, sheet: string, exercise: string, by: -1 | 1): Promise<void> {
  await database.transaction(async (query) => {
    const placed = await listPlaced({ query }, sheet);
    const at = placed.findIndex((each) => each.key === exercise);
    const other = placed[at + by];
    const own = placed[at];
    if (!own || !other) return;
    await query("update sheet_exercise set position = $3 where sheet = $1 and exercise = $2", [
      sheet,
      own.key,
      other.position,
    ]);
    await query("update sheet_exercise set position = $3 where sheet = $1 and exercise = $2", [
      sheet,
      other.key,
      own.position,
    ]);
  });
}

export async function setLevel(
  database: Database,
  sheet: string,
  exercise: string,
  level: number | null,
): Promise<void> {
  await database.query("update sheet_exercise set level = $3 where sheet = $1 and exercise = $2", [
    sheet,
    exercise,
    level,
  ]);
}

/** The part of a sheet that an exercise belongs to; "" for none. */
export async function setSection(database: Database, sheet: string, exercise: string, section: string): Promise<void> {
  await database.query("update sheet_exercise set section = $3 where sheet = $1 and exercise = $2", [
    ...[sheet, exercise, section],
  ]);
}

/** How a sheet is sat from now on. */
export async function setRules(database: Database, sheet: string, rules: SittingRules): Promise<void> {
  await database.query("update sheet set rules = $2::jsonb where key = $1", [sheet, asJson(rules)]);
}

/** Freezes a sheet as a new edition and opens it for students. */
export async function setSheet(database: Database, sheet: string, content: EditionToSet): Promise<string> {
  return database.transaction(async (query) => {
    const key = newKey();
    await query(
      "insert into sheet_edition (key, sheet, number, content) values ($1, $2, (select coalesce(max(number), 0) + 1 from sheet_edition where sheet = $2), $3)",
      [key, sheet, asJson(content)],
    );
    await query("update sheet set state = 'set', released_at = null where key = $1", [sheet]);
    return key;
  });
}

export async function setSheetState(
  { query }: { query: Query },
  sheet: string,
  state: "set" | "closed",
): Promise<void> {
  await query("update sheet set state = $2 where key = $1", [sheet, state]);
}

/** Lets students see their marks in all editions that there are, or takes them back from their sight. */
export async function releaseMarks(database: Database, sheet: string, released: boolean): Promise<void> {
  await database.transaction(async (query) => {
    const when = "released_at = case when $2 then now() else null end";
    await query(`update sheet set ${when} where key = $1`, [sheet, released]);
    await query(`update sheet_edition set ${when} where sheet = $1`, [sheet, released]);
  });
}

const editionHead = z.object({ key: z.string(), number: z.number(), released_at: timeColumn.nullable() });
/** An edition without what is on it. */
export type EditionHead = z.infer<typeof editionHead>;

/** The editions of a sheet, the first one first. */
export async function listEditions({ query }: { query: Query }, sheet: string): Promise<EditionHead[]> {
  const rows = await query("select key, number, released_at from sheet_edition where sheet = $1 order by number", [
    sheet,
  ]);
  return z.array(editionHead).parse(rows);
}

/** The newest edition of a sheet, or null if it was never set. */
export async function findLastEdition(database: Database, sheet: string): Promise<Edition | null> {
  return oneRow(
    editionRow,
    await database.query(
      "select key, sheet, number, content, created_at from sheet_edition where sheet = $1 order by number desc limit 1",
      [sheet],
    ),
  );
}

/**
 * Editions that were read, newest use last; they are frozen, so what was read stays true. By database, since tests open
 * several.
 */
const editionsRead = new WeakMap<Database, Map<string, Edition>>();
const mostEditions = 40;

/** An edition by its key, in one of its scenes (0: as it was set; also where there is no such scene); or null. */
export async function findEdition(database: Database, edition: string, scene = 0): Promise<Edition | null> {
  const key = `${edition} ${scene}`;
  const read = editionsRead.get(database) ?? new Map<string, Edition>();
  editionsRead.set(database, read);
  const known = read.get(key);
  const found = known ?? (await readEdition(database, edition, scene));
  read.delete(key);
  if (found) read.set(key, found);
  const oldest = read.keys().next().value;
  if (read.size > mostEditions && oldest !== undefined) read.delete(oldest);
  return found;
}

async function readEdition(database: Database, key: string, scene: number): Promise<Edition | null> {
  return oneRow(
    editionRow,
    await database.query(
      `select e.key, e.sheet, e.number, coalesce(o.content, e.content) as content, e.created_at
       from sheet_edition e left join edition_scene o on o.edition = e.key and o.number = $2 where e.key = $1`,
      [key, scene],
    ),
  );
}
