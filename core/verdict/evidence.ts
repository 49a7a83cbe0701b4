/** 1: does it start? 2: does it finish? 3: is the result as intended? */
export type GateNumber = 1 | 2 | 3;

/** One observation that speaks to a gate. `line` is 1-based in the main file. */
export type Evidence = {
  gate: GateNumber;
  source: "run" | "pasted output" | "reading" | "teacher";
  speaks: "passes" | "fails" | "open";
  text: string;
  line?: number;
};
