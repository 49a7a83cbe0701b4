import { existsSync, readdirSync } from "node:fs";
import { limitsSchema, type RunRequest } from "../../core/outcome/outcome.ts";
import type { Desk } from "../sandbox/desk.ts";
import type { Pool } from "../sandbox/pool.ts";
import { commandResultSchema } from "./commandBlock.ts";
import { buildLimits } from "./commandPlan.ts";
import { plainEnvironment } from "./commandToolchain.ts";
import { readBlock } from "./readBlock.ts";

/**
 * Another way to translate a program: with other options, or by another translator that is installed. `words` are as the command
 * is written; `command` only translates, nothing of the program is run.
 */
export type OtherWay = { id: string; words: string; command: (files: readonly string[]) => string[] };

/** Where what is translated goes. */
export const translated = "/tmp/other";

/** Executables of a folder whose names fit, with their paths. */
export function installed(folder: string, form: RegExp): Array<{ name: string; path: string }> {
  if (!existsSync(folder)) return [];
  const names = readdirSync(folder).filter((name) => form.test(name));
  return names.sort().map((name) => ({ name, path: `${folder}/${name}` }));
}

/**
 * What another way of translating says of a program, as it says it ("" where it says nothing); or why nothing was heard, in words
 * for a person. Only files that its command takes are translated, in a sandbox as ever.
 */
export async function translateOtherwise(
  workbench: Pool,
  desk: Desk,
  way: OtherWay,
  request: Pick<RunRequest, "files">,
  extension: string,
): Promise<{ ok: true; text: string } | { ok: false; message: string }> {
  const [main, ...others] = request.files.map((file) => file.name);
  const names = [main ?? "", ...others.filter((name) => name.endsWith(extension))];
  try {
    const answer = await desk.take(
      `Translating ${main ?? "a program"} by ${way.words}`,
      (signal) =>
        workbench.run(
          {
            mode: "check",
            files: request.files,
            input: new Uint8Array(),
            limits: limitsSchema.parse({ cpuSeconds: buildLimits.cpuSeconds, wallSeconds: buildLimits.wallSeconds }),
            commands: {
              ...{
                build: [["/bin/mkdir", "-p", translated], way.command(names)],
                run: null,
                environment: plainEnvironment,
              },
              ...{
                terminal: false,
                recording: false,
                buildLimits: { ...buildLimits, memoryBytes: 2048 * 1024 * 1024 },
              },
            },
          },
          signal,
        ),
      `${way.words} ${Buffer.concat(request.files.map((file) => file.bytes)).toString("base64")}`,
    );
    const block = readBlock(answer.block, answer.raw, commandResultSchema);
    if (answer.stopped !== "none")
      return { ok: false, message: `${way.words} was stopped at the ${answer.stopped} limit.` };
    return { ok: true, text: block.messages.replaceAll("/case/", "").trim() };
  } catch (problem) {
    return { ok: false, message: problem instanceof Error ? problem.message : String(problem) };
  }
}
