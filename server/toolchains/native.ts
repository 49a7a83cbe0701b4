import type { Found, RunRequest } from "../../core/outcome/outcome.ts";
import type { JobAnswer } from "../sandbox/warmWorker.ts";
import type { CommandBlock, Plan } from "./commandToolchain.ts";

export function nativeTrace(program: string, _request: RunRequest): string[] {
  return [program];
}
export async function findCrash(
  _request: RunRequest,
  _build: string[][],
  _program: string,
  _perform: (plan: Plan) => Promise<{ answer: JobAnswer; block: CommandBlock }>,
): Promise<Found | null> {
  return null;
}
