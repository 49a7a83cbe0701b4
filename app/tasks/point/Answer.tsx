import type { PointAnswer } from "../../../core/exercises/tasks/point.ts";

/** The lines that were pointed at. */
export function Answer({ compared }: { compared: PointAnswer }) {
  return <p>Line {compared.lines.join(", ") || "none"}</p>;
}
