import { byhand } from "./byhand/parts.ts";
import { classify } from "./classify/parts.ts";
import { compare } from "./compare/parts.ts";
import { condition } from "./condition/parts.ts";
import { define } from "./define/parts.ts";
import { handler } from "./handler/parts.ts";
import { improve } from "./improve/parts.ts";
import { input } from "./input/parts.ts";
import { intentions } from "./intentions/parts.ts";
import { layout } from "./layout/parts.ts";
import { limits } from "./limits/parts.ts";
import { mend } from "./mend/parts.ts";
import { missing } from "./missing/parts.ts";
import { point } from "./point/parts.ts";
import { predict } from "./predict/parts.ts";
import { provoke } from "./provoke/parts.ts";
import { purpose } from "./purpose/parts.ts";
import { reading } from "./reading/parts.ts";
import { refusals } from "./refusals/parts.ts";
import { rounds } from "./rounds/parts.ts";
import { runs } from "./runs/parts.ts";
import { statements } from "./statements/parts.ts";
import { steps } from "./steps/parts.ts";
import { suspects } from "./suspects/parts.ts";
import { switches } from "./switches/parts.ts";
import type { AnyTaskParts } from "./taskParts.ts";
import { testdata } from "./testdata/parts.ts";
import { trace } from "./trace/parts.ts";
import { unfinished } from "./unfinished/parts.ts";
import { versions } from "./versions/parts.ts";

/** What the pages show of every kind of task; a new one is one folder and one line here. */
export const allTaskParts: readonly AnyTaskParts[] = [
  ...[purpose, byhand, runs, refusals, classify, define, reading, statements, suspects, point, steps],
  ...[input, testdata, limits, condition, predict, compare, versions, missing, trace, rounds, mend],
  ...[intentions, unfinished, switches, provoke, handler, layout, improve],
];

/** The parts of a kind. Throws for one that has none, which only a newer version can have made. */
export function partsOf(kind: string): AnyTaskParts {
  const found = allTaskParts.find((each) => each.kind === kind);
  if (!found) throw new Error(`no parts for tasks of the kind ${kind}`);
  return found;
}
