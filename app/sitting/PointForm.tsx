import { z } from "zod";
import { Script } from "../components/Script.tsx";
import type { TaskFormProps } from "./taskForms.ts";

const answerSchema = z.object({ lines: z.array(z.number()) }).catch({ lines: [] });
const viewSchema = z.object({ faults: z.number() });

export function PointForm({ task, exercise, answer, fixed, change }: TaskFormProps) {
  const { lines } = answerSchema.parse(answer ?? {});
  const { faults } = viewSchema.parse(task.view);
  const pick = (line: number) =>
    change({ lines: lines.includes(line) ? lines.filter((each) => each !== line) : [...lines, line].sort((one, other) => one - other) });
  return (
    <div>
      <p className="note-small">
        {faults === 1 ? "There is one fault." : `There are ${faults} faults.`} Press the line where the mistake is; press again to take it back.
      </p>
      <div className="border border-rule bg-sheet py-2">
        <Script lines={exercise.lines} label="Program: press the faulty line" faulty={new Set(lines)} onPick={fixed ? undefined : pick} />
      </div>
      <p role="status">{lines.length === 0 ? "No line chosen yet." : `Chosen: line ${lines.join(", ")}`}</p>
    </div>
  );
}
