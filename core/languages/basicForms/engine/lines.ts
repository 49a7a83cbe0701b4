/** The text that is translated, a line for each of the student's. */
export type Lines = string[];

/** Puts more onto a line (from 1). */
export const put = (lines: Lines, line: number, code: string): void => {
  lines[line - 1] = lines[line - 1] ? `${lines[line - 1]} ${code}` : code;
};
