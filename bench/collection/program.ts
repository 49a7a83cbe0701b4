/** A right program with what is typed into it; what comes out is found by running it. */
export type RightProgram = { name: string; language: string; text: string; inputs: readonly string[] };
