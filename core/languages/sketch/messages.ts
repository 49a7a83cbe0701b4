import { keptFile } from "../java/messages.ts";
import { baseName, type MessageConstruct, type ToolFamily } from "../messageReader.ts";
import { severityOf } from "../severity.ts";

const located =
  /^(?:.{0,400}[\\/])?([^\\/:]{1,200}\.pde):(\d+)(?::(\d+)(?::(\d+):(\d+))?)?: (?:([A-Za-z]{4,12}): )?(.*)$/;

/** `Tide.pde:3:5:3:9: words`: line and column of the beginning, then of the end; columns count from 0. */
const compiler: MessageConstruct = {
  begins: (line) => line.includes(".pde:"),
  read: (context, at) => {
    const match = located.exec(context.lines[at] ?? "");
    // With the line and an arrow below it is what the compiler itself says.
    if (!match || /^\s*\^\s*$/.test(context.lines[at + 2] ?? "")) return null;
    const [, file = "", line, column, endLine, endColumn, word = "", rest = ""] = match;
    const severity = severityOf(word);
    return {
      messages: [
        {
          severity: severity ?? "error",
          file: keptFile(baseName(file)),
          line: Math.max(1, Number(line)),
          ...(column === undefined ? {} : { column: Number(column) + 1 }),
          ...(endLine === undefined ? {} : { endLine: Math.max(1, Number(endLine)), endColumn: Number(endColumn) + 1 }),
          message: word !== "" && severity === undefined ? `${word}: ${rest}` : rest,
          stage: "translation",
        },
      ],
      next: at + 1,
    };
  },
};

/** What a sketch editor's message bar says, copied without a place. */
const bar: MessageConstruct = {
  begins: (line) =>
    /^(?:The (?:variable|function|method|class|type) |Cannot find (?:a class|anything) |Syntax Error ?[-–:]|Missing (?:a|an|the|operator|right|left)|Type mismatch)/.test(
      line,
    ),
  read: (context, at) => ({
    messages: [{ severity: "error", message: context.lines[at] ?? "", stage: "translation" }],
    next: at + 1,
  }),
};

/** Editors of Java-based drawing sketches. */
export const sketchTools: ToolFamily = {
  id: "sketch",
  name: "editors of drawing sketches",
  checkedAgainst: null,
  constructs: [compiler, bar],
};
