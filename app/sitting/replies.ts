import type { ShownForms } from "../../core/outcome/forms.ts";
import type { TableColumn } from "../../core/trace/tableColumn.ts";
import type { Standing } from "../../server/sittings/access.ts";
import type { ConsoleView } from "../components/shortConsole.ts";

/** What became of an answer that was sent. Every `message` is for the student. */
export type SaveReply =
  | { result: "saved"; revision: number }
  /** Another page wrote it meanwhile: what stands there, and since when. */
  | { result: "newer"; revision: number; content: unknown; savedAt: string }
  /** The sitting is over; it is kept for the teacher. */
  | { result: "late"; message: string }
  /** It is not whole yet, or too long: something else has to be written. */
  | { result: "incomplete"; message: string }
  /** It is not taken, however often it is sent. */
  | { result: "refused"; message: string }
  | { result: "signed out"; message: string };

/** What a page hears every few seconds while a sheet is sat; `now`: the server's clock. */
export type BeatReply =
  | { signedIn: false }
  | ({ signedIn: true; now: string; word: string; released: boolean } & Standing);

/** What a real run gave, shown to whoever tried it. `picture`: what a sketch drew last, as the address of an image that holds it all. */
export type ShownTry = {
  console: ConsoleView;
  ended: string;
  inputRanOut: boolean;
  picture?: string;
  forms?: ShownForms;
};

/** What a run on the server gave; that it may run, or has run, in the browser; or words why it was not run. */
export type TryReply =
  | ({ ok: true; here: false } & ShownTry)
  | { ok: true; here: true }
  | { ok: false; message: string };

/** A recorded run of a student's text, its rows packed (core/formats/packedTable.ts), or words why there is none. */
export type RecordReply =
  | { ok: true; columns: TableColumn[]; packed: string; ended: string }
  | { ok: false; message: string };
