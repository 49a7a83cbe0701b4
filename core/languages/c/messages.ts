import type { Diagnostic } from "../../outcome/outcome.ts";
import { lineTexts } from "../../source/lines.ts";

const located = /^(.+?):(\d+):(?:(\d+):)? (fatal error|error|warning|note): (.*)$/;
const linker =
  /^(?:\S*ld: )?(?:\S+?\.(?:o|c): )?(?:(?:(\S+?):)?(?:(\d+)|\(\.text[^)]*\)): )?((?:undefined reference to|multiple definition of) [`‘'](\w+)['’].*)$/;
const tool = /^(?:gcc|cc1|clang|cc): (?:fatal )?error: (.*)$/;
const shell = /^(?:.*: line \d+:\s+\d+ )?(Segmentation fault|Floating point exception|Aborted|Bus error|Illegal instruction|Killed)(?: \(core dumped\))?/;
const shellNames: Readonly<Record<string, string>> = {
  "Segmentation fault": "SIGSEGV",
  "Floating point exception": "SIGFPE",
  Aborted: "SIGABRT",
  "Bus error": "SIGBUS",
  "Illegal instruction": "SIGILL",
  Killed: "SIGKILL",
};

function baseName(path: string): string {
  return path.split("/").pop() ?? path;
}

/** Columns of the compiler count bytes from 1 where the locale is UTF-8 they count columns on the screen; a tab is one by `-ftabstop=1`. */
function columnAt(source: string | undefined, column: number): number {
  if (source === undefined) return column;
  return Math.min(column, [...source].length + 1);
}

/**
 * Reads what gcc, clang, their linker and a shell say: `file:line:column: severity: words [-Woption]`, linker lines, and a shell's line
 * about a signal. Of several errors the first is the primary one. Lines and columns are 1-based; text that is none of this is passed over.
 */
export function readCMessages(output: string, program?: Readonly<Record<string, string>>): Diagnostic[] {
  const found: Diagnostic[] = [];
  for (const text of lineTexts(output)) {
    const place = located.exec(text);
    if (place) {
      const [, path = "", line = "0", column, severity = "error", words = ""] = place;
      const option = /^(.*?) \[(-W[^\]]+)\]$/.exec(words);
      const file = baseName(path);
      const source = program?.[file];
      found.push({
        severity: severity === "warning" ? "warning" : severity === "note" ? "note" : "error",
        file,
        line: Number(line),
        ...(column ? { column: columnAt(source === undefined ? undefined : lineTexts(source)[Number(line) - 1], Number(column)) } : {}),
        ...(option?.[2] ? { code: option[2] } : {}),
        message: option?.[1] ?? words,
        stage: "translation",
        primary: false,
      });
      continue;
    }
    const echoed = /^ +\d+ \| (.*)$/.exec(text);
    const last = found.at(-1);
    if (echoed && last && last.excerpt === undefined) {
      last.excerpt = echoed[1] ?? "";
      continue;
    }
    const link = linker.exec(text);
    if (link) {
      const [, path, line, message = ""] = link;
      found.push({
        severity: "error",
        ...(path && /\.c$/.test(path) ? { file: baseName(path) } : {}),
        ...(line ? { line: Number(line) } : {}),
        code: "link",
        message,
        stage: "translation",
        primary: false,
      });
      continue;
    }
    const refused = tool.exec(text);
    if (refused) {
      found.push({ severity: "error", message: refused[1] ?? "", stage: "translation", primary: false });
      continue;
    }
    const ended = shell.exec(text);
    if (ended) {
      const words = ended[1] ?? "";
      found.push({ severity: "error", errorName: shellNames[words] ?? words, message: words, stage: "run", primary: false });
    }
  }
  const first = found.find((diagnostic) => diagnostic.severity === "error");
  if (first) first.primary = true;
  return found;
}

const grammar =
  /^(?:expected|stray|missing terminating|unterminated|invalid suffix|unbalanced|.* without a previous|.*before .* token|empty character|unknown escape|.* unmatched)/;

/** Grammar, or a matter of names, types and linking. */
export function kindOfCRefusal(diagnostic: Diagnostic): "form" | "meaning" {
  if (diagnostic.code === "link") return "meaning";
  return grammar.test(diagnostic.message) ? "form" : "meaning";
}
