import { type Command, Option } from "commander";
import { isChartText, writeChartText } from "../core/flowcharts/chartText.ts";
import { svgText } from "../core/flowcharts/drawing.ts";
import { placedCharts } from "../core/flowcharts/placedCharts.ts";
import { programOfChart } from "../core/flowcharts/structured.ts";
import { pseudocode } from "../core/languages/pseudocode/pseudocode.ts";
import { writtenAs, writtenForms } from "../core/languages/pseudocode/written.ts";
import { MaterialProblem, readText } from "./material.ts";

/** A program in the form that is asked for. Throws MaterialProblem with what is wrong, line by line. */
async function written(path: string, form: string, routine: string): Promise<string> {
  let text = await readText(path);
  if (isChartText(text)) {
    const read = programOfChart(text);
    if (read.program === null)
      throw new MaterialProblem(read.problems.map(({ line, says }) => `${path}, line ${line}: ${says}`).join("\n"));
    text = read.program;
    if (form === "program") return text;
  }
  if (form === "svg" || form === "arrows") {
    const charts = pseudocode.charts?.(text) ?? [];
    const chart = charts.find(({ name }) => name.toLowerCase() === routine.toLowerCase());
    if (charts.length === 0) throw new MaterialProblem(`${path}: ${(await placedCharts(pseudocode, text)).why}`);
    if (!chart) throw new MaterialProblem(`${path} has no routine ${routine}`);
    if (form === "arrows") return writeChartText(chart);
    const placed = (await placedCharts(pseudocode, text)).charts.find(({ name }) => name === chart.name);
    if (!placed) throw new MaterialProblem(`${path}: ${(await placedCharts(pseudocode, text)).why}`);
    return svgText(placed, chart.name || path);
  }
  const done = writtenAs(text, form);
  if ("problem" in done) throw new MaterialProblem(`${path}: ${done.problem}`);
  return done.text;
}

export function addWriteCommand(program: Command): void {
  const forms = [...writtenForms.map(({ id }) => id), "svg", "arrows", "program"];
  program
    .command("write <program>")
    .description(
      "write a program in pseudocode in another style, in Python, or as a flowchart; a chart in words is read",
    )
    .addOption(new Option("--as <form>", "how it is written").choices(forms).default("program"))
    .option("--routine <name>", "the routine whose chart is written; else that of the main part", "")
    .action(async (path: string, { as, routine }: { as: string; routine: string }) => {
      process.stdout.write(await written(path, as, routine));
    });
}
