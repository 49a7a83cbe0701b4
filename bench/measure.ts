/** A line of the table: what was measured, against what, how many times as much it is (or how many rows), and the most it may be. */
export type Measure = {
  work: string;
  against: string;
  value: number;
  unit: "x" | "rows";
  atMost: number;
};
