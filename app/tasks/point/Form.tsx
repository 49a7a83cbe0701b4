import * as z from "zod";
import type { PointView } from "../../../core/exercises/tasks/point.ts";
import { Script } from "../../components/Script.tsx";
import type { FormProps } from "../taskParts.ts";

const answerSchema = z.object({ lines: z.array(z.number()) }).catch({ lines: [] });

/** The program itself: a press on a line points at it. */
export function Form({ view, exercise, answer, fixed, change }: FormProps<PointView>) {
  const { lines } = answerSchema.parse(answer ?? {});
  const { faults } = view;
  const pick = (line: number) =>
    change({
      lines: lines.includes(line)
        ? lines.filter((each) => each !== line)
        : [...lines, line].sort((one, other) => one - other),
    });
  return (
    <div>
      <p className="note-small">
        {faults === 1 ? "There is one fault." : `There are ${faults} faults.`} Press the line where the mistake is;
        press again to take it back.
      </p>
      <div className="border border-rule bg-sheet py-2">
        <Script
          lines={exercise.lines}
          label="Program: press the faulty line"
          faulty={new Set(lines)}
          onPick={fixed ? undefined : pick}
        />
      </div>
      <p role="status">{lines.length === 0 ? "No line chosen yet." : `Chosen: line ${lines.join(", ")}`}</p>
    </div>
  );
}
