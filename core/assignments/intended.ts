import * as z from "zod";
import type { ConsolePiece } from "../outcome/outcome.ts";

/**
 * One stretch of an intended output as a model program gave it: a result, a prompt (which may be left aside where
 * prompts do not count), or what is typed in.
 */
export const intendedPieceSchema = z.object({ kind: z.enum(["out", "prompt", "in"]), text: z.string() });
export type IntendedPiece = z.infer<typeof intendedPieceSchema>;

/** One line of the console, or what stands on the last one before something is typed in. */
type Stretch = { text: string; lines: Set<number>; unknown: boolean };

/** What is written between two reads, as stretches that end with their line, and the line of the program that reads. */
type Segment = { stretches: Stretch[]; typed: string | null; readBy: number | undefined };

function segmentsOf(console: readonly ConsolePiece[]): Segment[] {
  const segments: Segment[] = [];
  let stretches: Stretch[] = [];
  let open: Stretch | null = null;
  for (const piece of console) {
    if (piece.kind === "err") continue;
    if (piece.kind === "in") {
      segments.push({ stretches, typed: piece.text, readBy: piece.line });
      stretches = [];
      open = null;
      continue;
    }
    for (const part of piece.text.split(/(?<=\n)/)) {
      if (part === "") continue;
      if (!open) {
        open = { text: "", lines: new Set(), unknown: false };
        stretches.push(open);
      }
      open.text += part;
      if (piece.line === undefined) open.unknown = true;
      else open.lines.add(piece.line);
      if (part.endsWith("\n")) open = null;
    }
  }
  segments.push({ stretches, typed: null, readBy: undefined });
  return segments;
}

/** Lines of the program that write before every read at each line that reads. */
function regularWriters(segments: readonly Segment[]): ReadonlyMap<number, ReadonlySet<number>> {
  const regular = new Map<number, Set<number>>();
  for (const { stretches, typed, readBy } of segments) {
    if (typed === null || readBy === undefined) continue;
    const writers = new Set(stretches.flatMap((stretch) => [...stretch.lines]));
    const known = regular.get(readBy);
    regular.set(readBy, known ? new Set([...known].filter((line) => writers.has(line))) : writers);
  }
  return regular;
}

/**
 * True if a text says nothing that was worked out: its words stand in the program as they are, and its numbers do, too,
 * or count the reads ("Load 3:" before the third).
 */
function isWritten(text: string, program: string, ordinals: readonly number[]): boolean {
  const bare = text.trim();
  if (bare === "" || program.includes(bare)) return true;
  const parts = bare.split(/(\d+)/);
  return parts.every((part, index) =>
    index % 2 === 1 ? ordinals.includes(Number(part)) : part.trim() === "" || program.includes(part.trim()),
  );
}

/**
 * The intended output that a recorded run of a model gives. What it wrote directly before a read is a prompt if its
 * words stand in the model's text and it is written each time that this line reads: a result before the next read, or
 * words that only some values bring about, stay part of the intended output.
 */
export function intendedOf(console: readonly ConsolePiece[], program: string): IntendedPiece[] {
  const segments = segmentsOf(console);
  const regular = regularWriters(segments);
  const reads = new Map<number, number>();
  const pieces: IntendedPiece[] = [];
  const add = (kind: IntendedPiece["kind"], text: string) => {
    const last = pieces.at(-1);
    if (last?.kind === kind && kind !== "in") last.text += text;
    else if (text !== "") pieces.push({ kind, text });
  };
  for (const [index, { stretches, typed, readBy }] of segments.entries()) {
    const ofLine = readBy === undefined ? index : (reads.get(readBy) ?? 0);
    if (readBy !== undefined) reads.set(readBy, ofLine + 1);
    const writers = readBy === undefined ? undefined : regular.get(readBy);
    const isPrompt = (stretch: Stretch) =>
      isWritten(stretch.text, program, [index, index + 1, ofLine, ofLine + 1]) &&
      (stretch.unknown || !writers || [...stretch.lines].every((line) => writers.has(line)));
    const firstPrompt = typed === null ? stretches.length : stretches.findLastIndex((each) => !isPrompt(each)) + 1;
    for (const [at, stretch] of stretches.entries()) add(at < firstPrompt ? "out" : "prompt", stretch.text);
    if (typed !== null) add("in", typed);
  }
  return pieces;
}

/** The text of an intended output with its prompts, as a program writes it where nothing is echoed. */
export function textWithPrompts(pieces: readonly IntendedPiece[]): string {
  return pieces.map((piece) => (piece.kind === "in" ? "" : piece.text)).join("");
}

/** The results of an intended output alone; where something is typed in, a line ends. */
export function textOfResults(pieces: readonly IntendedPiece[]): string {
  let text = "";
  for (const piece of pieces) {
    if (piece.kind === "out") text += piece.text;
    else if (piece.kind === "in" && text !== "" && !text.endsWith("\n")) text += "\n";
  }
  return text;
}
