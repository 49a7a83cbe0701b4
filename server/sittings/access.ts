import { endOfSitting } from "../../core/sittings/sittingEnd.ts";
import { listStudents } from "../people/courseStore.ts";
import { knowStudent } from "../people/knowStudent.ts";
import type { Services } from "../services.ts";
import { listLater } from "../sheets/roomStore.ts";
import { listScenes } from "../sheets/sceneStore.ts";
import { type Edition, findEdition, findLastEdition, findSheetByCode, type Sheet } from "../sheets/sheetStore.ts";
import { beginAgain, beginSitting, findByPass, listSittingsOn, type Sitting } from "./sittingStore.ts";

/** Name of the cookie that holds a student's sitting; its value cannot be guessed (see passOf). */
export const sittingCookie = "bent-nail-sitting";

/** A cookie's value; one that is not encoded as it should be is nobody's. */
function decoded(value: string): string | null {
  try {
    return decodeURIComponent(value);
  } catch {
    return null;
  }
}

/** Reads a cookie of a request. */
export function readCookie(request: Request, name: string): string | null {
  for (const part of (request.headers.get("cookie") ?? "").split(";")) {
    const [key, ...value] = part.trim().split("=");
    if (key === name) return decoded(value.join("="));
  }
  return null;
}

/** Whether a sheet is over at a moment (milliseconds since 1970) for all but those who may sit it later. */
export function isOverForAll(sheet: Pick<Sheet, "state" | "bell_at" | "paused_at">, now: number): boolean {
  const hasRung = sheet.bell_at !== null && sheet.paused_at === null && Date.parse(sheet.bell_at) <= now;
  return sheet.state === "closed" || hasRung;
}

/**
 * Lets a student in by label and personal code. Words for the student if not; they do not tell which of the two was
 * wrong.
 */
export async function enterSitting(
  services: Services,
  sheet: Sheet,
  label: string,
  code: string,
  address: string,
): Promise<{ ok: true; sitting: string } | { ok: false; message: string }> {
  if (sheet.state === "draft") return { ok: false, message: "This sheet is not open yet." };
  const entered = await knowStudent(services, sheet.course, label, code, address);
  if (!entered.ok) return entered;
  const { student } = entered;
  // Whoever has begun a sheet comes back to it, whatever editions there are since.
  const begun = (await listSittingsOn(services.database, sheet.key, student.key)).at(-1);
  if (begun) return { ok: true, sitting: begun.key };
  const later = (await listLater(services.database, sheet.key)).has(student.key);
  if (isOverForAll(sheet, Date.now()) && !later)
    return {
      ok: false,
      message: "This sheet is closed, and you had not begun it. Your teacher can let you sit it later.",
    };
  if (sheet.rules.mode === "paper")
    return { ok: false, message: "This sheet is done on paper. Ask your teacher for it." };
  const edition = await findLastEdition(services.database, sheet.key);
  if (!edition) return { ok: false, message: "This sheet is not open yet." };
  const scene = await sceneOfSeat(services.database, sheet, edition.key, student.key);
  return { ok: true, sitting: await beginSitting(services.database, edition.key, student.key, scene) };
}

/**
 * Goes over to another edition of the sheet: to the sitting of it that there is, or, of the newest one while the sheet is
 * open, to one begun now. Words for the student if neither can be.
 */
export async function changeEdition(
  services: Pick<Services, "database">,
  { sheet, sitting }: OpenSitting,
  number: number,
): Promise<{ ok: true; sitting: string } | { ok: false; message: string }> {
  const sittings = await listSittingsOn(services.database, sheet.key, sitting.student);
  const begun = sittings.findLast((each) => each.number === number);
  if (begun) return { ok: true, sitting: begun.key };
  const edition = await findLastEdition(services.database, sheet.key);
  if (edition?.number !== number || sheet.state !== "set")
    return { ok: false, message: "This edition of the sheet cannot be sat any more." };
  const scene = await sceneOfSeat(services.database, sheet, edition.key, sitting.student);
  return { ok: true, sitting: await beginSitting(services.database, edition.key, sitting.student, scene) };
}

export type OpenSitting = { sheet: Sheet; sitting: Sitting; edition: Edition };

/** What a sitting's student may do now. */
export type Standing = {
  /** Whether what is written counts. */
  open: boolean;
  handedIn: boolean;
  paused: boolean;
  /** When it is handed in by itself; null: not by itself. */
  endsAt: string | null;
};

/** How a sitting stands at a moment (milliseconds since 1970). */
export function standingOf({ sheet, sitting }: Pick<OpenSitting, "sheet" | "sitting">, now: number): Standing {
  const handedIn = sitting.handed_in_at !== null;
  const time = (text: string | null) => (text === null ? null : Date.parse(text));
  const end = endOfSitting(
    {
      rules: sheet.rules,
      bellAt: time(sheet.bell_at),
      startedAt: Date.parse(sitting.started_at),
      extraSeconds: sitting.extra_seconds,
      pausedSeconds: sitting.paused_seconds,
      pausedAt: time(sheet.paused_at),
      later: sitting.later,
    },
    now,
  );
  const open = !handedIn && (sheet.state === "set" || sitting.later);
  return {
    open,
    handedIn,
    paused: open && sheet.paused_at !== null,
    endsAt: open && end !== null ? new Date(end).toISOString() : null,
  };
}

/** The scene that a student begins with: of neighbours in the list of a course each has another one, as far as they go. */
async function sceneOfSeat(
  database: Services["database"],
  { rules, course }: Sheet,
  edition: string,
  student: string,
): Promise<number> {
  if (!rules.bySeat) return 0;
  const scenes = [0, ...(await listScenes(database, edition))];
  const seat = (await listStudents(database, course)).findIndex(({ key }) => key === student);
  return scenes[Math.max(0, seat) % scenes.length] ?? 0;
}

/** The scene of the try after a sitting: each of the edition's in turn, and then the first one anew. */
async function nextScene(database: Services["database"], { rules }: Sheet, sitting: Sitting): Promise<number> {
  if (!rules.otherScenes) return 0;
  const scenes = [0, ...(await listScenes(database, sitting.edition))];
  return scenes[(scenes.indexOf(sitting.scene) + 1) % scenes.length] ?? 0;
}

/** Begins another try at a sheet that is for practice. Words for the student if there can be none. */
export async function tryAgain(
  { database }: Pick<Services, "database">,
  { sheet, sitting }: OpenSitting,
): Promise<{ ok: true; sitting: string } | { ok: false; message: string }> {
  if (sheet.rules.mode !== "practice" || sheet.state !== "set")
    return { ok: false, message: "This sheet cannot be done again now." };
  const begun = await beginAgain(database, sitting.key, await nextScene(database, sheet, sitting));
  if (begun) return { ok: true, sitting: begun };
  const newest = (await listSittingsOn(database, sheet.key, sitting.student)).at(-1);
  if (newest && newest.key !== sitting.key) return { ok: true, sitting: newest.key };
  return { ok: false, message: "Hand this one in first." };
}

/** The sitting that a request's cookie stands for, if it belongs to the sheet with this code. */
export async function sittingOfRequest(
  services: Services,
  request: Request,
  code: string,
): Promise<{ sheet: Sheet | null; open: OpenSitting | null }> {
  const given = readCookie(request, sittingCookie);
  // Both at once: this is asked before every save of a whole class.
  const [sheet, sitting] = await Promise.all([
    findSheetByCode(services.database, code),
    given ? findByPass(services.database, given) : null,
  ]);
  if (!sheet) return { sheet, open: null };
  const edition = sitting ? await findEdition(services.database, sitting.edition, sitting.scene) : null;
  if (!sitting || !edition || edition.sheet !== sheet.key) return { sheet, open: null };
  return { sheet, open: { sheet, sitting, edition } };
}

/** Name of the note that an exercise's program was tried in a sitting. */
export function triedNote(exercise: string): string {
  return `tried ${exercise}`;
}
