import { mend } from "../mend/parts.ts";
import { point } from "../point/parts.ts";
import type { AnyTaskParts } from "../taskParts.ts";
import { trace } from "../trace/parts.ts";

/** What the pages show of each step, which is a task of another kind. */
export const stepParts: readonly AnyTaskParts[] = [trace, point, mend, trace];
