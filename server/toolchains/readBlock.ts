import * as z from "zod";
import type { Effect } from "../../core/outcome/outcome.ts";
import { createFrameReader, type ToldRun } from "../../core/outcome/readFrames.ts";

const effectsSchema = z.array(
  z.object({ name: z.string(), change: z.enum(["new", "changed", "gone"]), size: z.number(), content: z.string() }),
);

/**
 * What a run left in its block. `messages` is what translators said, `built` the program that was built where it was
 * asked for.
 */
export type Block<Result> = ToldRun<Result> & { messages: string; effects: Effect[]; built: Buffer | null };
export type RawOutput = ReadonlyArray<readonly ["O" | "E", number, Uint8Array]>;

const frameHeader = 13;

/**
 * Takes the runner's memory block apart (layout: runners/sandbox/bent_nail_sandbox/block.py). A program may have
 * scribbled over it, so nothing is trusted: reading stops at the first frame that does not fit, and `damaged` says so.
 * `raw` is output that went past the language's streams, each with the block's length when it was read.
 */
export function readBlock<Result>(block: Buffer, raw: RawOutput, resultSchema: z.ZodType<Result>): Block<Result> {
  const frames = createFrameReader(resultSchema);
  const messages: Uint8Array[] = [];
  let effects: Effect[] = [];
  let built: Buffer | null = null;
  let damaged = false;
  let at = 4;
  let rawAt = 0;

  const addRaw = (until: number) => {
    for (let next = raw[rawAt]; next && next[1] <= until; next = raw[++rawAt]) frames.add(next[0], 0, 0, next[2]);
  };

  while (at + frameHeader <= block.length) {
    const kind = String.fromCharCode(block[at] ?? 0);
    const line = block.readUInt32LE(at + 1);
    const step = block.readUInt32LE(at + 5);
    const length = block.readUInt32LE(at + 9);
    const end = at + frameHeader + length;
    if (end > block.length || !"OEIMTFBRWP".includes(kind)) {
      damaged = true;
      break;
    }
    addRaw(at);
    const bytes = block.subarray(at + frameHeader, end);
    if (frames.add(kind, line, step, bytes) || kind === "P") {
      // "P" is one of many runs, which readTries reads.
    } else if (kind === "W") {
      damaged = true;
    } else if (kind === "M") {
      messages.push(bytes);
    } else if (kind === "B") {
      built = Buffer.from(bytes);
    } else {
      const parsed = effectsSchema.safeParse(parseJson(bytes.toString("utf8")));
      if (parsed.success)
        effects = parsed.data.map(({ name, change, size, content }) => ({
          name,
          change,
          size,
          text: Buffer.from(content, "base64").toString("utf8"),
        }));
    }
    at = end;
  }
  addRaw(Number.MAX_SAFE_INTEGER);
  const told = frames.whole();
  return {
    ...told,
    damaged: told.damaged || damaged,
    ...{ messages: Buffer.concat(messages).toString("utf8"), effects, built },
  };
}

/**
 * What a try left in a block of many (runners/sandbox/bent_nail_sandbox/tries.py). Of one that is refused where lines alone are
 * told there is the line (from 1) and nothing else; 0 where it is not known.
 */
export type TriedBlock = {
  how: "ended" | "time" | "past the streams" | "refused";
  line: number;
  signal: number;
  exit: number;
  milliseconds: number;
  block: Buffer;
};

const tryHeader = 16;
const endings = ["ended", "time", "past the streams", "refused"] as const;

/** The blocks of the tries in a job's block, by their place; a try that is not there was not made. Stops at what does not fit. */
export function readTries(block: Buffer): Map<number, TriedBlock> {
  const found = new Map<number, TriedBlock>();
  for (let at = 4; at + frameHeader <= block.length; ) {
    const length = block.readUInt32LE(at + 9);
    const [from, end] = [at + frameHeader, at + frameHeader + length];
    const how = end <= block.length && length >= tryHeader ? endings[block.readInt32LE(from)] : undefined;
    if (end > block.length) break;
    // What else stands there was said of all of them.
    if (block[at] !== "P".charCodeAt(0)) {
      at = end;
      continue;
    }
    if (how === undefined) break;
    const told = block.readUInt32LE(from + 4);
    const status = how === "refused" ? 0 : told;
    const signal = status & 127;
    found.set(block.readUInt32LE(at + 1) - 1, {
      ...{ how, line: how === "refused" ? told : 0, signal, exit: signal === 0 ? (status >> 8) & 255 : 128 + signal },
      milliseconds: block.readDoubleLE(from + 8),
      block: block.subarray(from + tryHeader, end),
    });
    at = end;
  }
  return found;
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
