import { classify } from "./classify/parts.ts";
import { define } from "./define/parts.ts";
import { improve } from "./improve/parts.ts";
import { input } from "./input/parts.ts";
import { mend } from "./mend/parts.ts";
import { point } from "./point/parts.ts";
import { predict } from "./predict/parts.ts";
import { purpose } from "./purpose/parts.ts";
import { reading } from "./reading/parts.ts";
import { runs } from "./runs/parts.ts";
import { statements } from "./statements/parts.ts";
import { steps } from "./steps/parts.ts";
import type { AnyTaskParts } from "./taskParts.ts";
import { trace } from "./trace/parts.ts";

/** What the pages show of every kind of task; a new one is one folder and one line here. */
export const allTaskParts: readonly AnyTaskParts[] = [
  ...[purpose, runs, classify, define, reading, statements, point, steps, input],
  ...[predict, trace, mend, improve],
];

/** The parts of a kind. Throws for one that has none, which only a newer version can have made. */
export function partsOf(kind: string): AnyTaskParts {
  const found = allTaskParts.find((each) => each.kind === kind);
  if (!found) throw new Error(`no parts for tasks of the kind ${kind}`);
  return found;
}
