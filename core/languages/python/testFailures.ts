import { baseName, type MessageConstruct, type MessageContext } from "../messageReader.ts";
import { fileLine, header, readBlock } from "./traceBlock.ts";

/** The indented lines after a heading of a failed example, joined. */
function indented(context: MessageContext, from: number): { text: string; next: number } {
  let next = from;
  while (next < context.lines.length && /^ {4}/.test(context.lines[next] ?? "")) next++;
  return {
    text: context.lines
      .slice(from, next)
      .map((line) => line.slice(4))
      .join("\n"),
    next,
  };
}

/**
 * An example in a text that did not give what it promises (doctest). It speaks of the result, or of a stop where one
 * was met.
 */
export const failedExample: MessageConstruct = {
  begins: (line) => line.startsWith('File "'),
  read: (context, at) => {
    const place = fileLine.exec(context.lines[at] ?? "");
    if (!place || context.lines[at + 1] !== "Failed example:") return null;
    const example = indented(context, at + 2);
    const shared = {
      severity: "error",
      file: baseName(place[1] ?? ""),
      line: Number(place[2]),
      excerpt: example.text,
    } as const;
    if (/^Exception raised:/.test(context.lines[example.next] ?? "")) {
      const told = indented(context, example.next + 1);
      const inner = readBlock(context, example.next + 2, told.next, true, (index) =>
        index < told.next ? (context.lines[index] ?? "").slice(4) : "",
      );
      return {
        messages: [{ ...shared, ...inner?.message, message: inner?.message.message ?? told.text, stage: "run" }],
        next: told.next,
      };
    }
    if (!/^Expected/.test(context.lines[example.next] ?? "")) return null;
    const nothing = context.lines[example.next] === "Expected nothing";
    const expected = nothing ? { text: "nothing", next: example.next + 1 } : indented(context, example.next + 1);
    const got =
      context.lines[expected.next] === "Got nothing"
        ? { text: "nothing", next: expected.next + 1 }
        : indented(context, expected.next + 1);
    return {
      messages: [
        {
          ...shared,
          errorName: "Failed example",
          message: `${example.text.trim()}: expected ${expected.text}, got ${got.text}`,
          stage: "result",
        },
      ],
      next: got.next,
    };
  },
};

/**
 * A test that failed (unittest): its name, a rule, and the traceback of the assertion. An ERROR is a stop of the
 * program.
 */
export const failedTest: MessageConstruct = {
  begins: (line) => line.startsWith("FAIL: ") || line.startsWith("ERROR: "),
  read: (context, at) => {
    const from = [1, 2, 3].map((step) => at + step).find((index) => /^-{20,}$/.test(context.lines[index] ?? ""));
    if (from === undefined || context.lines[from + 1] !== header) return null;
    const read = readBlock(context, from + 2, context.lines.length, true, (index) => context.lines[index] ?? "");
    if (!read) return null;
    const failed = (context.lines[at] ?? "").startsWith("FAIL");
    return { messages: [failed ? { ...read.message, stage: "result" } : read.message], next: read.next };
  },
};
