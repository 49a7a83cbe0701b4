import type { z } from "zod";
import { printedByStep } from "../trace/heldBack.ts";
import { createRecordingReader } from "../trace/readRecording.ts";
import type { Step, Trace } from "../trace/trace.ts";
import type { ConsolePiece } from "./outcome.ts";

/** What a run told of itself, frame by frame (runners/sandbox/bent_nail_sandbox/block.py). */
export type ToldRun<Result> = {
  console: ConsolePiece[];
  steps: Step[];
  /** Why what was to be changed at a step was not. */
  notChanged: string | undefined;
  /** The files that there were at a step, where that was asked for. */
  filesAt: Trace["filesAt"];
  /** What the runner told at its end; null if it could not. */
  result: Result | null;
  /** Something was not in the runner's form. */
  damaged: boolean;
};

const kinds: Readonly<Record<string, ConsolePiece["kind"]>> = { O: "out", E: "err", I: "in" };
type Stretch = { kind: ConsolePiece["kind"]; line: number; step: number; bytes: Uint8Array[] };

function textOf(parts: readonly Uint8Array[]): string {
  const decoder = new TextDecoder("utf-8", { ignoreBOM: true });
  return parts.map((part) => decoder.decode(part, { stream: true })).join("") + decoder.decode();
}

function parseJson(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(textOf([bytes]));
  } catch {
    return null;
  }
}

/**
 * Reads the frames of one run in their order: what was printed and typed in (O, E, I), the recording (T) and the result
 * (R). A program may have written them itself, so nothing is trusted. `add` gives false for a frame of another kind.
 */
export function createFrameReader<Result>(resultSchema: z.ZodType<Result>): {
  add: (kind: string, line: number, step: number, bytes: Uint8Array) => boolean;
  whole: () => ToldRun<Result>;
} {
  const stretches: Stretch[] = [];
  const steps: Step[] = [];
  const recording = createRecordingReader();
  let result: Result | null = null;
  let damaged = false;

  function add(letter: string, line: number, step: number, bytes: Uint8Array): boolean {
    const kind = kinds[letter];
    if (kind) {
      const last = stretches.at(-1);
      if (last && last.kind === kind && last.line === line && last.step === step) last.bytes.push(bytes);
      else stretches.push({ kind, line, step, bytes: [bytes] });
    } else if (letter === "T") {
      const chunk = recording.read(textOf([bytes]));
      if (chunk) for (const each of chunk) steps.push(each);
      else damaged = true;
    } else if (letter === "R") {
      const parsed = resultSchema.safeParse(parseJson(bytes));
      if (parsed.success) result = parsed.data;
      else damaged = true;
    } else return false;
    return true;
  }

  function whole(): ToldRun<Result> {
    for (const stretch of stretches) {
      const step = stretch.step > 0 ? steps[stretch.step - 1] : undefined;
      if (step) step[stretch.kind] = (step[stretch.kind] ?? "") + textOf(stretch.bytes);
    }
    printedByStep(steps, recording.held);
    return {
      console: stretches.map((stretch) => ({
        ...{ kind: stretch.kind, text: textOf(stretch.bytes) },
        ...(stretch.line > 0 ? { line: stretch.line } : {}),
        ...(stretch.step > 0 ? { step: stretch.step - 1 } : {}),
      })),
      ...{ steps, notChanged: recording.notChanged(), filesAt: recording.filesAt(), result, damaged },
    };
  }
  return { add, whole };
}
