import type { ShownForms } from "../../core/outcome/forms.ts";
import type { ConsoleView } from "../components/shortConsole.ts";

/** What became of a saved answer; only "saved" is good. `message` is for the student. */
export type SaveReply = { result: "saved" | "older" | "refused"; message: string };

/** What a real run of a student's text gave, or words why it was not run. */
export type TryReply =
  /** `picture`: what a sketch drew last, as the address of an image that holds it all. */
  | { ok: true; console: ConsoleView; ended: string; inputRanOut: boolean; picture?: string; forms?: ShownForms }
  | { ok: false; message: string };
