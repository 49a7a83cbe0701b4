/** The shapes of boxes, as the standard for flowcharts has them (ISO 5807: terminator, process, decision, data, predefined process). */
export type BoxShape = "begin" | "end" | "work" | "decision" | "input or output" | "call";

/** A box of a flowchart. `lines` (from 1) are those of the program that it stands for, so that a dry run can point at it. */
export type ChartBox = { id: string; shape: BoxShape; text: string; lines: number[] };

export type ChartArrow = { from: string; to: string; label: "" | "yes" | "no" };

/** The chart of the main program (`name` is ""), or of one routine. */
export type Chart = { name: string; boxes: ChartBox[]; arrows: ChartArrow[] };

/**
 * The box that a line is in, if any: the first one that has it. A line with two boxes (the header of a counted loop) is in the
 * one that asks, except when it runs for the first time.
 */
export function boxOfLine(chart: Chart, line: number, isFirst: boolean): string | null {
  const boxes = chart.boxes.filter((box) => box.lines.includes(line));
  const asked = isFirst ? undefined : boxes.find(({ shape }) => shape === "decision");
  return (asked ?? boxes[0])?.id ?? null;
}
