/** A piece of program text. Offsets are UTF-16, `line` is 1-based. `open` marks a literal that is not closed. */
export type Token = {
  kind: "name" | "keyword" | "number" | "text" | "comment" | "bracket" | "operator" | "other";
  text: string;
  line: number;
  /** 0-based UTF-16 offset in its line. */
  offset: number;
  endLine: number;
  open?: boolean;
  /** True for the first one behind a sign that carries its statement on from the line above. */
  carried?: true;
};
