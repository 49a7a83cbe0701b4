import type { RoundsView } from "../../../core/exercises/tasks/rounds.ts";
import { WritingLines } from "../../print/PrintPage.tsx";
import { stepParts } from "./stepParts.ts";

/** The first step as its kind has it on paper, and room for the others, which are seen only after it. */
export function Paper({ view }: { view: RoundsView }) {
  const FirstPaper = stepParts[0]?.Paper;
  const [first] = view.steps;
  return (
    <div className="grid gap-3">
      {FirstPaper && first && (
        <div>
          <p>Step 1: {first.title}</p>
          <FirstPaper view={first.view} />
        </div>
      )}
      {["Find the line: which one is it?", "Mend it: write the line anew.", "Trace it again with your line."].map(
        (asks, at) => (
          <div key={asks}>
            <p>
              Step {at + 2}: {asks}
            </p>
            <WritingLines count={at === 2 ? 8 : 2} />
          </div>
        ),
      )}
    </div>
  );
}
