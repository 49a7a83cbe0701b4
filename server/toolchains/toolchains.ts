import { createPythonToolchain } from "./python.ts";
import type { Toolchain } from "./toolchain.ts";

/** Every translator that programs can be run with; a new one is one file and one line here. */
const makers: readonly (() => Toolchain)[] = [createPythonToolchain];

export type Toolchains = { find: (language: string) => Toolchain | undefined; close: () => Promise<void> };

/** The toolchains, made once for a process; each starts its workers when first used. */
export function createToolchains(): Toolchains {
  const all = makers.map((make) => make());
  return {
    find: (language) => all.find((toolchain) => toolchain.language === language),
    close: async () => {
      await Promise.all(all.map((toolchain) => toolchain.close()));
    },
  };
}
