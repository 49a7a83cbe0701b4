/** A right program that is shipped, for faults to be planted in: from the scene of the ferry, and nobody's work. */
export type Neutral = {
  title: string;
  level: number;
  program: string;
  /** What is typed in to check it, where that is not what other languages have for its title. */
  inputs?: readonly string[];
};

/** A neutral program, its text indented by as much as its first line. */
export function neutral(level: number, title: string, text: string, inputs?: readonly string[]): Neutral {
  const lines = text.replace(/^\n/, "").trimEnd().split("\n");
  const indent = /^ */.exec(lines[0] ?? "")?.[0] ?? "";
  return {
    title,
    level,
    program: `${lines.map((line) => line.replace(indent, "")).join("\n")}\n`,
    ...(inputs ? { inputs } : {}),
  };
}
