/**
 * A text of a lesson in blocks. Blank lines part them; what is indented by four blanks is program text; a block that begins
 * with "? " is a task.
 */
export type Block = { of: "text" | "program" | "task"; text: string };

/** The blocks of a text, in order. */
export function blocksOf(text: string): Block[] {
  const blocks: Block[] = [];
  const isProgram = (line: string) => line.startsWith("    ") && line.trim() !== "";
  let lines: string[] = [];
  const end = () => {
    const [first = ""] = lines;
    if (lines.length > 0 && isProgram(first))
      blocks.push({ of: "program", text: lines.map((line) => line.slice(4)).join("\n") });
    else if (first.startsWith("? ")) blocks.push({ of: "task", text: lines.join(" ").slice(2).trim() });
    else if (lines.length > 0) blocks.push({ of: "text", text: lines.map((line) => line.trim()).join(" ") });
    lines = [];
  };
  const all = text.split(/\r\n|\n|\r/);
  for (const [at, line] of all.entries()) {
    const before = lines[0];
    // A blank line within a program belongs to it.
    if (line.trim() === "") {
      const next = all.slice(at).find((each) => each.trim() !== "");
      if (before !== undefined && isProgram(before) && next !== undefined && isProgram(next)) lines.push("");
      else end();
      continue;
    }
    if (before !== undefined && isProgram(before) !== isProgram(line)) end();
    lines.push(line);
  }
  end();
  return blocks;
}

/** Words that are read in a minute: silent reading of ordinary texts in English is 238 (Brysbaert 2019), and these are to be understood. */
const wordsAMinute = 180;

/** Seconds that a line of a program takes. */
const secondsALine = 5;

/** How long a text takes to be read, in whole minutes, at least one; nothing for an empty one. */
export function readingMinutes(text: string): number {
  let seconds = 0;
  for (const block of blocksOf(text)) {
    if (block.of === "program") seconds += block.text.split("\n").length * secondsALine;
    else seconds += (block.text.split(/\s+/).filter((word) => word !== "").length / wordsAMinute) * 60;
  }
  return seconds === 0 ? 0 : Math.max(1, Math.round(seconds / 60));
}
