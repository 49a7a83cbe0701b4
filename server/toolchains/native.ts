import { existsSync } from "node:fs";
import { z } from "zod";
import type { Language } from "../../core/languages/language.ts";
import { tokensByLine } from "../../core/languages/lexical.ts";
import { type Found, foundSchema, type RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { JobAnswer } from "../sandbox/warmWorker.ts";
import { type CommandBlock, type Plan, plainEnvironment } from "./commandToolchain.ts";

/** The reader of debug information that the recorder of compiled programs uses. */
export const elftools = "/usr/lib/python3/dist-packages/elftools";

/** Most bytes that the names of a program's lines may take on a command line. */
const mostNames = 100_000;

/** The names that each line gives a value, by "file:line", in small letters. */
function assignedByLine(language: Language, request: RunRequest): string {
  const found: Record<string, string[]> = {};
  for (const [number, file] of request.files.entries())
    for (const [line, tokens] of tokensByLine(language.tokens(decodeText(file.bytes).text))) {
      const names = language.assignedNames(tokens);
      if (names.length > 0) found[`${number}:${line}`] = names.map((name) => name.toLowerCase());
    }
  const text = JSON.stringify(found);
  return text.length <= mostNames ? text : "{}";
}

/** The command that runs a compiled program under the recorder (runners/native/tracer.py). `trash` is the byte in memory that was not set. */
export function nativeTrace(language: Language, program: string, trash: number, request: RunRequest): string[] {
  return [
    "@tracer",
    ...[program, String(request.limits.steps), String(trash), language.id, assignedByLine(language, request)],
    ...request.files.map((file) => file.name),
  ];
}

const crashSchema = foundSchema.extend({ outside: z.boolean().default(false) });

/** What a place-finder left among the messages of a second run, or null. */
function readFound(messages: string): z.infer<typeof crashSchema> | null {
  const start = messages.lastIndexOf('{"frames"');
  if (start < 0) return null;
  try {
    return crashSchema.safeParse(JSON.parse(messages.slice(start))).data ?? null;
  } catch {
    return null;
  }
}

/** The debugger, if it is installed. */
const debuggerPath = "/usr/bin/gdb";

/**
 * Runs a program once more until the signal ends it and looks where it was: by its frame pointers where that is in its own code
 * (runners/native/crash_place.py), else by gdb (crash.py). The build must be the one that crashed. Null where neither can tell, or where it
 * does not crash again: no line is invented.
 */
export async function findCrash(
  language: Language,
  request: RunRequest,
  build: string[][],
  program: string,
  perform: (plan: Plan) => Promise<{ answer: JobAnswer; block: CommandBlock }>,
): Promise<Found | null> {
  const files = request.files.map((file) => file.name);
  const shared = { files: request.files, build: build.map((command) => [...command]), recording: true };
  const quick = readFound((await perform({ ...shared, run: ["@crash_place", program, language.id, ...files] })).block.messages);
  if (!quick) return null;
  if (!quick.outside) return quick.frames.length > 0 ? quick : null;
  if (!existsSync(debuggerPath)) return null;
  const { block } = await perform({
    ...shared,
    run: [debuggerPath, "-nx", "-batch", "-x", "/runner/native/crash.py", "--args", program],
    environment: { ...plainEnvironment, BENT_NAIL_FILES: files.join("\n") },
    limits: { boundAddresses: false, overheadBytes: 256 * 1024 * 1024 },
  });
  const found = readFound(block.messages);
  return found?.frames.some((frame) => frame.own) ? found : null;
}
