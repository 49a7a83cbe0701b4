import { type Command, InvalidArgumentError, Option } from "commander";
import { traceFormats, uncaughtError } from "../core/formats/traceFormats.ts";
import { type RunRequest, type StepChange, unknownBecause } from "../core/outcome/outcome.ts";
import { decodeText } from "../core/source/decode.ts";
import { readableTable } from "../core/trace/annotate.ts";
import { placeProblem } from "../core/trace/changePlace.ts";
import { headingsOf, headingText } from "../core/trace/headings.ts";
import { loopsIn } from "../core/trace/passes.ts";
import { withRepeated } from "../core/trace/repeatUnchanged.ts";
import type { TraceTable } from "../core/trace/table.ts";
import {
  type MoreColumn,
  moreColumnNames,
  type RowPolicy,
  readTableStyle,
  rowPolicies,
  type TableStyle,
  usualStyle,
} from "../core/trace/tableStyle.ts";
import { readLimits } from "../server/limits.ts";
import type { Toolchain } from "../server/toolchains/toolchain.ts";
import { createToolchains } from "../server/toolchains/toolchains.ts";
import { chooseLanguage, MaterialProblem, readProgram, readText } from "./material.ts";

function wholeNumber(text: string): number {
  const number = Number(text);
  if (!Number.isInteger(number) || number < 1) throw new InvalidArgumentError("a whole number from 1 is needed");
  return number;
}

/**
 * The columns that are meant by names: "total" is every column of a variable with that name, whatever function it is of,
 * "load: total" the one of the function load, "Ferry.load: total" of one class's. Throws MaterialProblem with the names that there are.
 */
function keysOf(table: TraceTable, names: readonly string[]): string[] {
  const headings = headingsOf(table.columns).map(headingText);
  const namesOf = (column: TraceTable["columns"][number], at: number) => [
    ...[column.key, column.title, headings[at] ?? "", headings[at]?.split(": ").at(-1) ?? ""],
    ...(column.functionName ? [`${column.functionName}: ${column.title}`] : []),
  ];
  return names.flatMap((given) => {
    const name = given.trim();
    const found = table.columns.filter((column, at) => namesOf(column, at).includes(name));
    if (found.length === 0)
      throw new MaterialProblem(
        `there is no column ${name || "without a name"}; there are ${headings.join(", ") || "none"}`,
      );
    return found.map((column) => column.key);
  });
}

/** The further columns that are meant. Throws MaterialProblem for one that there is not. */
function moreOf(names: string): MoreColumn[] {
  return names.split(",").flatMap((given) => {
    const name = given.trim();
    if (name === "") return [];
    const found = moreColumnNames.find((each) => each === name);
    if (!found) throw new MaterialProblem(`there is no column ${name}; there are ${moreColumnNames.join(", ")}`);
    return [found];
  });
}

/** The style of a file, or the usual one. Throws MaterialProblem for one that is none. */
async function styleOf(path: string | undefined): Promise<TableStyle> {
  if (path === undefined) return usualStyle;
  const read = readTableStyle(await readText(path));
  if (!read.ok) throw new MaterialProblem(`${path}: ${read.message}`);
  return read.style;
}

/** What `--what-if` asks for, at a step of the run as it is. Throws MaterialProblem where it cannot be done. */
async function changeOf(text: string, toolchain: Toolchain, request: RunRequest): Promise<StepChange> {
  const read = /^\s*(\d+)\s*:\s*([^=]+?)\s*=\s*([\s\S]+)$/.exec(text);
  if (!read) throw new MaterialProblem(`“${text}” is not of the form “12: name = value”`);
  if (!toolchain.changes) throw new MaterialProblem("nothing can be changed while it runs in this language here");
  const [, index = "", name = "", value = ""] = read;
  const { steps } = await toolchain.trace(request);
  const step = steps.find((each) => each.index === Number(index));
  const problem = placeProblem(steps, step);
  if (!step || problem !== null) throw new MaterialProblem(problem ?? "");
  return { step: step.index, line: step.line, put: { name, value } };
}

/** Adds `bent-nail trace`. */
export function addTraceCommand(program: Command): void {
  program
    .command("trace")
    .description("run a program, record it, and print its trace table")
    .argument("<program>", "the program file")
    .option("--language <id>", "language of the program")
    .option("--input <file>", "what is typed in")
    .addOption(
      new Option(
        "--rows <policy>",
        "a row for every executed line, for every change, or for every pass of a loop (default: as the style says)",
      ).choices([...rowPolicies]),
    )
    .option("--style <file>", "how csv and md are written: a table style, see docs/tables.md")
    .option("--with <columns>", `more columns of csv and md, comma between: ${moreColumnNames.join(", ")}`)
    .option("--elements <names>", "a column for each element or field of these variables in csv and md, comma between")
    .option(
      "--loop <line>",
      "the loop whose passes have rows, by the line of its header (innermost loops by default)",
      wholeNumber,
    )
    .option("--columns <names>", "only these variables, comma between")
    .addOption(new Option("--format <format>", "how it is printed").choices(Object.keys(traceFormats)).default("md"))
    .option(
      "--what-if <step: name = value>",
      "put a value in before a step's line runs (its number as JSON has it), the value as the language writes it; the text is not touched",
    )
    .option("--limit <steps>", "most steps to record", wholeNumber)
    .action(
      async (
        path: string,
        options: {
          language?: string;
          input?: string;
          rows?: RowPolicy;
          loop?: number;
          style?: string;
          elements?: string;
          with?: string;
          columns?: string;
          format: string;
          limit?: number;
          whatIf?: string;
        },
      ) => {
        const language = chooseLanguage(options.language, path);
        const files = await readProgram(path);
        const style = await styleOf(options.style);
        const input = options.input === undefined ? "" : await readText(options.input);
        const toolchains = createToolchains();
        try {
          const toolchain = toolchains.find(language.id);
          const state = await toolchain?.available();
          if (!toolchain || !state?.ready)
            throw new MaterialProblem(state && !state.ready ? state.reason : `${language.name} cannot be run here`);
          const limits = { ...readLimits(), ...(options.limit === undefined ? {} : { steps: options.limit }) };
          const request = { files, input, limits };
          const change = options.whatIf === undefined ? null : await changeOf(options.whatIf, toolchain, request);
          const trace = await toolchain.trace({ ...request, ...(change ? { change } : {}) });
          if (trace.notChanged !== undefined) process.stderr.write(`bent-nail: ${trace.notChanged}\n`);
          const unknown = unknownBecause(trace.outcome);
          if (unknown !== null) throw new MaterialProblem(unknown);
          if (trace.outcome.stoppedBy === "refused")
            throw new MaterialProblem(
              `the program was refused before any line ran: ${trace.outcome.diagnostics[0]?.message ?? ""}`,
            );
          const text = files[0] ? decodeText(files[0].bytes).text : "";
          // JSON has the values as they were recorded, whatever the style.
          const plain = options.format === "json";
          const rows = options.rows ?? (options.loop !== undefined ? "pass" : plain ? "line" : style.rows);
          const { loop } = options;
          if (loop !== undefined && !loopsIn(language, text).some((each) => each.header === loop))
            throw new MaterialProblem(`no loop begins in line ${loop}`);
          const all = readableTable(language, text, trace, { rows });
          const keys = (names: string | undefined) => (names === undefined ? undefined : keysOf(all, names.split(",")));
          const [columns, elements] = [keys(options.columns), keys(options.elements)];
          const more = options.with === undefined ? style.columns : moreOf(options.with);
          const made = readableTable(language, text, trace, {
            ...{ rows, ...(columns ? { columns } : {}), ...(loop === undefined ? {} : { loop }) },
            ...(plain ? {} : { style, ...(elements ? { elements } : {}) }),
            ...(more.includes("waiting") ? { input } : {}),
          });
          const table = style.unchanged === "repeated" && !plain ? withRepeated(made) : made;
          const write = traceFormats[options.format] ?? traceFormats.md;
          process.stdout.write(write(table, trace, more));
          if (plain) for (const remark of table.remarks ?? []) process.stderr.write(`bent-nail: ${remark}\n`);
          if (trace.cut) process.stderr.write(`bent-nail: ${trace.cut}\n`);
          const error = uncaughtError(trace);
          if (error) process.stderr.write(`bent-nail: the program was stopped by ${error}\n`);
        } finally {
          await toolchains.close();
        }
      },
    );
}
