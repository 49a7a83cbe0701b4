import { type ExceptionTold, exceptionDiagnostic } from "./exceptions.ts";
import type { MessageConstruct, MessageContext, MessageFound } from "./messageReader.ts";
import { baseName } from "./messageReader.ts";

const unhandled =
  /^(?:Unhandled [Ee]xception(?:\.|:)?|\[ERROR\] FATAL UNHANDLED EXCEPTION:|Unbehandelte Ausnahme(?:\.|:)|Exception non gérée *:|Excepción no controlada:)\s*(.*)$/;
const exceptionLine =
  /^\s*(?:---> ?|\(Inner Exception #\d+\) ?)?((?:[\p{L}_]\w*\.){0,12}[\p{L}_]\w{0,200})(?:: (.*?))?(?: ---> (.*))?$/u;
/** A call; "at", "in" and "line" are said in the system's language. */
const call =
  /^\s+(?:at|bei|à|en|in|в) (.+?)(?: \[0x[0-9a-f]+\])?(?: (?:in|dans|w|в) (.*?)(?::(?:line|Zeile|ligne|línea|riga|строка) |:)(\d+)\.?)?\s*$/;
/** The words of a window that stops a program in the editor: the name, and the message between quotes. */
const inWindow = /^((?:System|Microsoft)\.[\w.]*Exception): '(.*)'$/;
const nameOfException = /^(?:System|Microsoft)\.[\w.]*Exception\b/;

type Told = ExceptionTold & { from: number; to: number };

/**
 * .NET's account of an exception that nobody caught, with inner ones (newest call first; frames come out oldest first,
 * causes last). The same account printed twice counts once.
 */
export const dotnetException: MessageConstruct = {
  begins: (line) => unhandled.test(line) || nameOfException.test(line),
  read: (context, at) => {
    const window = inWindow.exec(context.lines[at] ?? "");
    if (window && !call.test(context.lines[at + 1] ?? "")) {
      const block = { errorName: window[1] ?? "", message: window[2] ?? "", frames: [], from: at + 1, to: at + 1 };
      return { messages: [told(block, at + 1)], next: at + 1 };
    }
    const begins = unhandled.exec(context.lines[at] ?? "");
    const blocks: Told[] = [];
    // Calls of an inner exception come before those of the one around it, divided by a line that says so.
    let current = -1;
    let expecting = true;
    let next = at;
    for (; next < Math.min(context.lines.length, at + 20_000); next++) {
      const text = context.lines[next] ?? "";
      const body = next === at && begins ? (begins[1] ?? "") : text;
      const block = blocks[current];
      const frame = next > at && block ? call.exec(text) : null;
      if (frame && block) {
        addCall(context, block, frame);
        block.to = next + 1;
        continue;
      }
      if (/^\s*--- .* ---$/.test(body)) {
        if (block) block.to = next + 1;
        if (/inner exception|inneren Ausnahme|exception interne|excepción interna/i.test(body))
          current = Math.max(0, current - 1);
        continue;
      }
      if (next > at && unhandled.test(text)) break;
      if (body.trim() === "") {
        if (expecting || /^\s*---> ?\(Inner/.test(context.lines[next + 1] ?? "")) continue;
        break;
      }
      const inner = /^\s*--->|^\s*\(Inner/.test(body);
      if (expecting || inner) {
        if (!readHeads(body.replace(/ ?<---$/, ""), blocks, next)) break;
        current = blocks.length - 1;
        expecting = false;
      } else if (
        block &&
        block.frames.length === 0 &&
        [1, 2, 3].some((step) => call.test(context.lines[next + step] ?? ""))
      ) {
        // The name of the file is told once more below the message.
        if (!/^File name: ['"]/.test(body)) block.message += `\n${body}`;
        block.to = next + 1;
      } else break;
    }
    // A name alone is an exception only where calls follow it or the system says that nobody caught it.
    if (blocks.length === 0 || (!begins && !blocks.some((block) => block.frames.length > 0))) return null;
    // Told a second time by the run-time system.
    let end = next;
    while (end < context.lines.length && (context.lines[end] ?? "").trim() === "") end++;
    if ((context.lines[end] ?? "").startsWith("[ERROR] FATAL UNHANDLED EXCEPTION:")) {
      end += 1;
      while (
        end < context.lines.length &&
        (call.test(context.lines[end] ?? "") || /^\s*--- .* ---$|^\s*--->|^\s*\(Inner/.test(context.lines[end] ?? ""))
      )
        end++;
    } else end = next;
    return { messages: blocks.map((block) => told(block, end)), next: end };
  },
};

function told({ from, to, ...block }: Told, end: number): MessageFound {
  block.frames.reverse();
  const { primary: _, ...message } = exceptionDiagnostic(block);
  return { ...message, outputLines: { from, to: Math.min(to, end) } };
}

function addCall(context: MessageContext, block: Told, [, name = "", path, line]: RegExpExecArray): void {
  const file = path && !path.startsWith("<") ? baseName(path) : "";
  if (block.frames.length >= 3000) return;
  block.frames.push({
    file,
    name: name.replace(/ ?\(.*$/, ""),
    own:
      file !== "" &&
      (context.program === undefined || Object.keys(context.program).some((each) => baseName(each) === file)),
    ...(Number(line) > 0 && file !== "" ? { line: Number(line) } : {}),
  });
}

/** Takes `Name: words ---> Name: words` apart into blocks; false if it is none. */
function readHeads(body: string, blocks: Told[], at: number): boolean {
  let rest: string | undefined = body;
  let read = false;
  while (rest) {
    const head: RegExpExecArray | null = exceptionLine.exec(rest);
    if (!head) return read;
    blocks.push({ errorName: head[1] ?? "", message: head[2] ?? "", frames: [], from: at + 1, to: at + 1 });
    read = true;
    rest = head[3];
  }
  return read;
}
