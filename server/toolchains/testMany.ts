import { limitsSchema, type Outcome } from "../../core/outcome/outcome.ts";
import type { Toolchains } from "./toolchains.ts";

/** A program with what is typed in. */
export type Text = readonly [main: string, input: string];

/** Limits of one of many runs in tests. */
export const limitsOfEach = { ...limitsSchema.parse({}), cpuSeconds: 1, wallSeconds: 4 };

/** Runs texts of a language in one job, each with its input. */
export async function runTexts(
  toolchains: Toolchains,
  language: string,
  name: string,
  texts: readonly Text[],
): Promise<Array<Outcome | null>> {
  const told = await toolchains.find(language)?.runMany?.(
    { files: [{ name, bytes: new Uint8Array() }], input: "", limits: limitsOfEach, hurried: true },
    texts.map(([main, input]) => ({ main: Buffer.from(main), input })),
    60,
  );
  return told ?? [];
}
