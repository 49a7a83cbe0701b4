import type { PartParts } from "./partParts.ts";
import { Blocks, beginningOf, TextField, textContent } from "./shared.tsx";

export const reading: PartParts<"reading"> = {
  kind: "reading",
  steps: () => 0,
  Before: ({ part }) => <Blocks blocks={part.shows} firstTask={part.firstTask} />,
  Read: ({ part }) => <Blocks blocks={part.shows} firstTask={part.firstTask} />,
  Plan: ({ part }) => <>{beginningOf(part.shows)}</>,
  Fields: ({ content }) => (
    <TextField
      content={content}
      says="Text. A blank line begins a paragraph; four blanks before a line make it a program; “? ” before a paragraph makes it a task."
    />
  ),
  contentOf: textContent,
};
