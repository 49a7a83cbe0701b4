import type { Limits, ProgramFiles } from "../../core/outcome/outcome.ts";
import type { Commands } from "../sandbox/warmWorker.ts";

/**
 * How one program is built and run. `files` are those to lie in the folder, under the names that the translator wants.
 */
export type Plan = Partial<Commands> & {
  files: ProgramFiles;
  build: Commands["build"];
  run: Commands["run"];
  limits?: { boundAddresses?: boolean; overheadBytes?: number } & Partial<
    Pick<Limits, "processes" | "cpuSeconds" | "wallSeconds" | "outputBytes">
  >;
  /**
   * The text of a refusal or warning that was found before the commands, as the translator would print it, and whether
   * it refuses.
   */
  said?: { text: string; refused: boolean };
  /** Names in messages that stand for a file of the case: [name in the folder, name in the case]. */
  renamed?: ReadonlyArray<readonly [string, string]>;
  /** A package or namespace that the program was put into to stand beside others; it goes from all that is said and printed. */
  within?: string;
};

/** What building may take; a translator that needs more is stopped. */
export const buildLimits: Commands["buildLimits"] = {
  cpuSeconds: 20,
  wallSeconds: 30,
  memoryBytes: 768 * 1024 * 1024,
  fileBytes: 64 * 1024 * 1024,
};
