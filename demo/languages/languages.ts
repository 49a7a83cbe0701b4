import type { DemoCase } from "../cases.ts";
import { basicFormsCases } from "./basicForms.ts";
import { basicMacroCases } from "./basicMacro.ts";
import { cCases } from "./c.ts";
import { csharpCases } from "./csharp.ts";
import { javaCases } from "./java.ts";
import { octaveCases } from "./octave.ts";
import { pascalCases } from "./pascal.ts";
import { pseudocodeCases } from "./pseudocode.ts";
import { sketchCases } from "./sketch.ts";

/** The demo's cases in the languages besides Python, at least four each. */
export const languageCases: readonly DemoCase[] = [
  ...javaCases,
  ...cCases,
  ...csharpCases,
  ...pascalCases,
  ...octaveCases,
  ...basicMacroCases,
  ...sketchCases,
  ...basicFormsCases,
  ...pseudocodeCases,
];
