/** A line of the table: what was measured, against what, how many times as much it is (or how many rows), and the most it may be
 * (for a share in %, the least). */
export type Measure = {
  work: string;
  against: string;
  value: number;
  unit: "x" | "rows" | "%";
  atMost: number;
};
