import { limitsSchema, type RunRequest } from "../../core/outcome/outcome.ts";
import type { Desk } from "../sandbox/desk.ts";
import type { Pool } from "../sandbox/pool.ts";
import { commandResultSchema } from "./commandBlock.ts";
import { buildLimits } from "./commandPlan.ts";
import { plainEnvironment } from "./commandToolchain.ts";
import { type OtherWay, translated } from "./otherWays.ts";
import { readBlock } from "./readBlock.ts";

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
    const status = block.result?.built.at(-1) ?? 1;
    // 126 and 127: it could not be started (POSIX, exit status for commands).
    if (status === 126 || status === 127) return { ok: false, message: `${way.words} does not start here.` };
    if (block.messages.trim() === "" && status !== 0)
      return { ok: false, message: `${way.words} ended with status ${status} and said nothing.` };
    return { ok: true, text: block.messages.replaceAll("/case/", "").trim() };
  } catch (problem) {
    return { ok: false, message: problem instanceof Error ? problem.message : String(problem) };
  }
}
