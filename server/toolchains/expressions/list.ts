import { basicForms } from "./basicForms.ts";
import { basicMacro } from "./basicMacro.ts";
import { c } from "./c.ts";
import { csharp } from "./csharp.ts";
import { java } from "./java.ts";
import { octave } from "./octave.ts";
import { pascal } from "./pascal.ts";
import { pseudocode } from "./pseudocode.ts";
import { python } from "./python.ts";
import { sketch } from "./sketch.ts";
import type { Spoken } from "./spoken.ts";

/** Every language whose expressions are worked out. */
export const spoken: Readonly<Record<string, Spoken>> = {
  ...{ python, c, java, csharp, pascal, octave, pseudocode, sketch },
  ...{ "basic-macro": basicMacro, "basic-forms": basicForms },
};
