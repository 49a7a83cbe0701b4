/** A run in the browser: the program, what is typed in (a line each), and how its course reads programs. */
export type TryRequest = {
  program: string;
  input: string;
  rules: { equalsAssigns: boolean; namesBefore: boolean };
};

/** What came of it: all that stood on the console, and how it ended. */
export type TryReply = { text: string; finished: boolean; inputRanOut: boolean };
