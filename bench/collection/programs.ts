import { basicMacroPrograms } from "./basicMacro.ts";
import { cPrograms } from "./c.ts";
import { csharpPrograms } from "./csharp.ts";
import { javaPrograms } from "./java.ts";
import { octavePrograms } from "./octave.ts";
import { pascalPrograms } from "./pascal.ts";
import type { RightProgram } from "./program.ts";
import { pseudocodePrograms } from "./pseudocode.ts";
import { pythonPrograms } from "./python.ts";

/** Every right program of the collection. */
export const rightPrograms: readonly RightProgram[] = [
  ...[
    pythonPrograms,
    javaPrograms,
    cPrograms,
    csharpPrograms,
    pascalPrograms,
    octavePrograms,
    pseudocodePrograms,
    basicMacroPrograms,
  ].flat(),
];
