import type { PlannedCase } from "../../core/collecting/arrange.ts";

/** A program of a set as the table shows it: outputs are cut, of a message at its end only the place is told. */
export type PlannedView = Omit<PlannedCase, "atEnd"> & { atEnd: { fromLine: number; commented: boolean } | null };
