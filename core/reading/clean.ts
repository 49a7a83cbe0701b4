import { lineTexts } from "../source/lines.ts";

/** Escape sequences of terminals (ECMA-48): colours and the like, titles and links, two-character ones. */
const escapes = /\u001b(?:\[[0-?]*[ -/]*[@-~]|\][^\u0007\u001b\r\n]*(?:\u0007|\u001b\\)?|[@-Z\\^_])/g;

/** Characters of a line that are read; no tool's own words go that far, and no pattern can be made slow by more. */
const longestLine = 4000;

/** True if nearly every line that holds something begins with the sign. */
function nearlyAll(lines: readonly string[], fits: (line: string) => boolean): boolean {
  const held = lines.filter((line) => line !== "");
  return held.length > 1 && held.filter(fits).length >= held.length * 0.9;
}

/**
 * The lines of an output as they are read: colours and other escape sequences gone, blanks that are no plain blanks
 * made plain, quote marks of a mail ("> ") taken off where nearly every line has them, very long lines cut. One line
 * comes for each line of the output, so numbers stay true; the output itself is kept elsewhere as it was pasted.
 */
export function cleanOutput(output: string): string[] {
  const plain = output.includes("\u001b") ? output.replace(escapes, "") : output;
  // Escapes hold no line ends, so the number of lines stays; only a last line that held nothing else goes.
  let lines = lineTexts(plain).map((line) => {
    const short = line.length > longestLine ? line.slice(0, longestLine) : line;
    return /[\u00a0\u200b\u2007\u202f\ufeff]/.test(short)
      ? short.replace(/[\u00a0\u2007\u202f]/g, " ").replace(/[\u200b\ufeff]/g, "")
      : short;
  });
  if (nearlyAll(lines, (line) => line.startsWith("> ") || line === ">"))
    lines = lines.map((line) => line.replace(/^> ?/, ""));
  return lines;
}
