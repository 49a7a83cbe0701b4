import type { PartParts } from "./partParts.ts";
import { Blocks, beginningOf, TextField, textContent } from "./shared.tsx";

export const story: PartParts<"story"> = {
  kind: "story",
  steps: () => 1,
  Before: ({ part, count }) =>
    count === 0 ? <p>A side story, for whoever likes.</p> : <Blocks blocks={part.shows} firstTask={part.firstTask} />,
  Read: ({ part }) => (
    <details>
      <summary className="cursor-pointer text-steel-deep">A side story, for whoever likes</summary>
      <div className="grid gap-2 pt-2">
        <Blocks blocks={part.shows} firstTask={part.firstTask} />
      </div>
    </details>
  ),
  Plan: ({ part }) => <>{beginningOf(part.shows)}</>,
  Fields: ({ content }) => <TextField content={content} says="What may be told, or left" />,
  contentOf: textContent,
};
