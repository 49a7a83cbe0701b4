import * as z from "zod";
import { drawingSchema } from "./drawing.ts";
import { shownFormsSchema } from "./forms.ts";

/**
 * What stopped a run before its own end; "none" if it ended by itself. "refused": the translator did not accept it. The
 * last three tell nothing of the program (see unknownBecause): "person": somebody stopped it; "not taken": it did not
 * get its turn; "broken": the sandbox broke off.
 */
export const stoppedBySchema = z.enum([
  "none",
  "fault",
  "time",
  "memory",
  "output",
  "steps",
  "refused",
  "person",
  "not taken",
  "broken",
]);
export type StoppedBy = z.infer<typeof stoppedBySchema>;

/**
 * One stretch of the console. `line` (1-based, of the main file) is the line that wrote or asked, where known; `step`
 * the index of the recorded step.
 */
export const consolePieceSchema = z.object({
  kind: z.enum(["out", "err", "in"]),
  text: z.string(),
  line: z.number().int().positive().optional(),
  step: z.number().int().nonnegative().optional(),
  /** True for what a box asks before it takes a line: no part of the result unless an intended text has it. */
  asked: z.boolean().optional(),
  /**
   * Of the piece that tells what cells hold (core/outcome/cells.ts): the cells that the run did not change, with what they show. Of the
   * piece that tells of a picture or of forms (core/outcome/pictureFacts.ts, formFacts.ts): its other facts.
   */
  cells: z.array(z.tuple([z.string(), z.string()])).optional(),
  /** True for the piece that tells of a picture or of forms: nothing that was printed. */
  picture: z.boolean().optional(),
});
export type ConsolePiece = z.infer<typeof consolePieceSchema>;

/** One call in a chain, oldest first. `line` is 1-based; `own` is true for a frame in the student's files. */
export const stackFrameSchema = z.object({
  file: z.string(),
  line: z.number().int().positive().optional(),
  name: z.string().optional(),
  own: z.boolean(),
});
export type StackFrame = z.infer<typeof stackFrameSchema>;

/**
 * What a tool said. Lines and columns are 1-based, columns count code points, a tab is one; readers convert each tool's
 * unit.
 */
export const diagnosticSchema = z.object({
  severity: z.enum(["error", "warning", "note"]),
  file: z.string().optional(),
  line: z.number().int().positive().optional(),
  column: z.number().int().positive().optional(),
  endLine: z.number().int().positive().optional(),
  endColumn: z.number().int().positive().optional(),
  code: z.string().optional(),
  errorName: z.string().optional(),
  message: z.string(),
  excerpt: z.string().optional(),
  frames: z.array(stackFrameSchema).optional(),
  /**
   * "translation": said before the program ran; "run": said by the running program's end; "result": said about what an
   * ended run gave (a test that failed); "unknown" if the text does not tell.
   */
  stage: z.enum(["translation", "run", "result", "unknown"]),
  primary: z.boolean(),
  /** What said it, e.g. "gcc or clang", and the range of its versions that the wording or the form tells. */
  tool: z.string().optional(),
  toolVersion: z.string().optional(),
  /** Where it stands in the output, 1-based lines, the last one included. */
  outputLines: z.object({ from: z.number().int().positive(), to: z.number().int().positive() }).optional(),
  /** True if the output breaks off before the message ends. */
  cut: z.boolean().optional(),
});
export type Diagnostic = z.infer<typeof diagnosticSchema>;

/**
 * A file that a run made, changed or took away in its folder. `text` is its beginning, `size` its true size in bytes.
 */
export const effectSchema = z.object({
  name: z.string(),
  change: z.enum(["new", "changed", "gone"]),
  size: z.number(),
  text: z.string(),
});
export type Effect = z.infer<typeof effectSchema>;

/**
 * The place of a crash that gave no line, found by a debugger in a second run: 1-based lines, innermost frame of the
 * student's own first, with the values there. `unprinted` is text that the program had handed over for printing and
 * that was lost with its buffer.
 */
export const foundSchema = z.object({
  frames: z.array(stackFrameSchema),
  values: z.array(z.object({ name: z.string(), text: z.string() })),
  unprinted: z.string(),
});
export type Found = z.infer<typeof foundSchema>;

/**
 * A cell of a sheet that a run has left: where it stands (`B2`), what it shows, its formula and number format where it has one. `before`
 * is what it showed before the run, there where the run changed it ("" where it was empty).
 */
export const cellSchema = z.object({
  at: z.string(),
  kind: z.enum(["number", "text", "error", "empty"]),
  shown: z.string(),
  formula: z.string().optional(),
  format: z.string().optional(),
  before: z.string().optional(),
});
export type Cell = z.infer<typeof cellSchema>;

/** A sheet of the workbook that a run acted on, row by row; `cut`: there is more than is told. */
export const sheetSchema = z.object({ name: z.string(), cut: z.boolean(), cells: z.array(cellSchema) });
export type Sheet = z.infer<typeof sheetSchema>;

/** What a check, a run or a trace of a program gave. `started` is null where nothing was run (check only). */
export const outcomeSchema = z.object({
  started: z.boolean().nullable(),
  finished: z.boolean(),
  stoppedBy: stoppedBySchema,
  exit: z.object({ code: z.number().int(), signal: z.number().int() }),
  diagnostics: z.array(diagnosticSchema),
  console: z.array(consolePieceSchema),
  /** Files that the run left behind; every run starts without them. */
  effects: z.array(effectSchema).default([]),
  /** What the sheets hold when the run is over, whether it came to its end or not; absent where there is no workbook. */
  sheets: z.array(sheetSchema).optional(),
  /** What was drawn until the run was over, whether it came to its end or not; absent where nothing can be drawn. */
  drawing: drawingSchema.optional(),
  /** What stood on the forms when the run was over; absent where there are none. */
  forms: shownFormsSchema.optional(),
  /** Where a debugger found the program when it was killed by a signal: found by us, not told by the tool. */
  found: foundSchema.optional(),
  /** Names of what an earlier run leaves, where what came out elsewhere fits only with it there; none: looked for in vain. */
  leftovers: z.array(z.string()).optional(),
  /** True when the program asked for more input than there was. */
  inputRanOut: z.boolean(),
  milliseconds: z.number(),
  translator: z.string(),
  /** True for one of several runs in one job; whether a mending is verified is never asked of such a one. */
  inCompany: z.boolean().optional(),
  /**
   * Why nothing is known of the program, in words for a person; there if `stoppedBy` is one of the three that tell
   * nothing.
   */
  trouble: z.string().optional(),
});
export type Outcome = z.infer<typeof outcomeSchema>;

/** An outcome that tells nothing of the program. It is never kept, never evidence and never marked. */
export function unknownOutcome(stoppedBy: "person" | "not taken" | "broken", trouble: string): Outcome {
  const nothing = { diagnostics: [], console: [], effects: [], inputRanOut: false, milliseconds: 0, translator: "" };
  return { started: null, finished: false, stoppedBy, exit: { code: -1, signal: 0 }, ...nothing, trouble };
}

/** Why an outcome tells nothing of the program, in words for a person; null if it does tell something. */
export function unknownBecause(outcome: Outcome): string | null {
  if (outcome.stoppedBy !== "person" && outcome.stoppedBy !== "not taken" && outcome.stoppedBy !== "broken")
    return null;
  return outcome.trouble ?? "The run was stopped.";
}

/** True for a run among others in one job that tells what its own run would: it was not ended at a limit, and left nothing behind. */
export function tellsInCompany({ stoppedBy, effects }: Outcome): boolean {
  return (stoppedBy === "none" || stoppedBy === "fault") && effects.length === 0;
}

/** Limits of one run; they count over everything that the program starts. */
export const limitsSchema = z.object({
  cpuSeconds: z.number().positive().default(2),
  wallSeconds: z.number().positive().default(5),
  memoryBytes: z
    .number()
    .int()
    .positive()
    .default(256 * 1024 * 1024),
  processes: z.number().int().positive().default(64),
  outputBytes: z
    .number()
    .int()
    .positive()
    .default(1024 * 1024),
  fileBytes: z
    .number()
    .int()
    .positive()
    .default(16 * 1024 * 1024),
  steps: z.number().int().positive().default(20_000),
});
export type Limits = z.infer<typeof limitsSchema>;

/** The files of a program by name; the first one is where it starts. */
export type ProgramFiles = ReadonlyArray<{ readonly name: string; readonly bytes: Uint8Array }>;

/**
 * What is changed when a recorded step's line is about to run: a variable (with a value as the language writes it), and files beside the
 * program (null: taken away). Where neither is said nothing is changed, and the recording tells the files that there are. `step` is the
 * index of the step in the recording, `line` its line.
 */
export type StepChange = {
  step: number;
  line: number;
  put?: { name: string; value: string };
  files?: Readonly<Record<string, string | null>>;
};

/**
 * What a toolchain is given. `input` is what is typed in, line ends included; `signal` stops it. `hurried`: one of many
 * runs of a search; where it crashes is not looked for.
 */
export type RunRequest = {
  files: ProgramFiles;
  input: string;
  limits: Limits;
  signal?: AbortSignal;
  hurried?: boolean;
  /** Of many in one job: no more is asked of what is refused than the line, where the translator tells that sooner. */
  linesOnly?: boolean;
  /** The way of the language that the program is in, where it has more than one (core/languages/ways.ts). */
  way?: string;
  /** Only of recordings, by toolchains that have `changes`. */
  change?: StepChange;
};

/** The text of the console pieces of the given kinds, joined in order. */
export function consoleText(pieces: readonly ConsolePiece[], kinds: readonly ConsolePiece["kind"][]): string {
  return pieces
    .filter((piece) => kinds.includes(piece.kind))
    .map((piece) => piece.text)
    .join("");
}
