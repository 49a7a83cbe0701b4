import { existsSync } from "node:fs";
import type { Language } from "../../core/languages/language.ts";
import { tokensByLine } from "../../core/languages/lexical.ts";
import { type Found, foundSchema, type RunRequest } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { JobAnswer } from "../sandbox/warmWorker.ts";
import { type CommandBlock, type Plan, plainEnvironment } from "./commandToolchain.ts";
import { hostInterpreter } from "./workbench.ts";

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
    hostInterpreter ?? "/usr/bin/python3",
    ...["-B", "-S", "-E", "/runner/native/tracer.py", program, String(request.limits.steps), String(trash), language.id, assignedByLine(language, request)],
    ...request.files.map((file) => file.name),
  ];
}

/** The debugger, if it is installed. */
const debuggerPath = "/usr/bin/gdb";

/**
 * Runs a program once more under gdb until the signal ends it and asks where it was (runners/native/crash.py). The build must be the one
 * that crashed. Null where there is no debugger, or where it does not crash again: no line is invented.
 */
export async function findCrash(
  request: RunRequest,
  build: string[][],
  program: string,
  perform: (plan: Plan) => Promise<{ answer: JobAnswer; block: CommandBlock }>,
): Promise<Found | null> {
  if (!existsSync(debuggerPath)) return null;
  const { block } = await perform({
    files: request.files,
    build: build.map((command) => [...command]),
    run: [debuggerPath, "-nx", "-batch", "-x", "/runner/native/crash.py", "--args", program],
    environment: { ...plainEnvironment, BENT_NAIL_FILES: request.files.map((file) => file.name).join("\n") },
    recording: true,
    limits: { boundAddresses: false, overheadBytes: 256 * 1024 * 1024 },
  });
  const start = block.messages.lastIndexOf('{"frames"');
  if (start < 0) return null;
  try {
    const parsed = foundSchema.safeParse(JSON.parse(block.messages.slice(start)));
    return parsed.success && parsed.data.frames.some((frame) => frame.own) ? parsed.data : null;
  } catch {
    return null;
  }
}
