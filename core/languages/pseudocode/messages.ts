import type { MessageConstruct, ToolFamily } from "../messageReader.ts";

const form = /^(Not read|Stopped), line (\d+)(?:, column (\d+))? \(([^)]*)\): (.*)$/;

/** What our own interpreter says: where, by which name, and in words for a learner. */
const said: MessageConstruct = {
  begins: (line) => line.startsWith("Not read, line ") || line.startsWith("Stopped, line "),
  read: (context, at) => {
    const [, how, line, column, errorName, message] = form.exec(context.lines[at] ?? "") ?? [];
    if (how === undefined || message === undefined) return null;
    return {
      messages: [
        {
          ...{ severity: "error", line: Number(line), errorName: errorName ?? "", message },
          ...(column === undefined ? {} : { column: Number(column) }),
          stage: how === "Stopped" ? "run" : "translation",
        },
      ],
      next: at + 1,
    };
  },
};

/** The interpreter of pseudocode that ships with Bent Nail. */
export const ownInterpreter: ToolFamily = {
  ...{ id: "pseudocode", name: "Bent Nail’s pseudocode", checkedAgainst: "Bent Nail's pseudocode 1" },
  constructs: [said],
};
