import type { Pool } from "../sandbox/pool.ts";
import { createCToolchain } from "./c.ts";
import { createCSharpToolchain } from "./csharp.ts";
import { createJavaToolchain } from "./java.ts";
import { createOctaveToolchain } from "./octave.ts";
import { createPascalToolchain } from "./pascal.ts";
import { createPythonToolchain } from "./python.ts";
import type { Toolchain } from "./toolchain.ts";
import { createWorkbench } from "./workbench.ts";

/** Every translator that programs can be run with; a new one is one file and one line here. Those that are used by commands share a workbench. */
const makers: readonly ((workbench: () => Pool) => Toolchain)[] = [
  createPythonToolchain,
  createJavaToolchain,
  createCToolchain,
  createCSharpToolchain,
  createPascalToolchain,
  createOctaveToolchain,
];

export type Toolchains = { find: (language: string) => Toolchain | undefined; close: () => Promise<void> };

/** The toolchains, made once for a process; each starts its workers when first used. */
export function createToolchains(): Toolchains {
  let workbench: Pool | null = null;
  const getWorkbench = (): Pool => {
    workbench ??= createWorkbench();
    return workbench;
  };
  const all = makers.map((make) => make(getWorkbench));
  return {
    find: (language) => all.find((toolchain) => toolchain.language === language),
    close: async () => {
      await Promise.all([...all.map((toolchain) => toolchain.close()), workbench?.close()]);
    },
  };
}
