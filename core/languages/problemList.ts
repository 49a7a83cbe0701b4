import { baseName, type MessageConstruct, type ToolFamily } from "./messageReader.ts";
import { severityOf } from "./severity.ts";

/**
 * An editor's list that was copied as rows of columns: severity, code, words, file and line in some order, divided by
 * tabs.
 */
const rows: MessageConstruct = {
  begins: (line) => line.includes("\t"),
  read: (context, at) => {
    const cells = (context.lines[at] ?? "").split("\t").map((cell) => cell.trim());
    if (cells.length < 3 || cells[0] === "") return null;
    const severityAt = cells.findIndex((cell) => severityOf(cell) !== undefined);
    const fileAt = cells.findIndex((cell) =>
      /^[^\s:*?"<>|]{1,200}\.(?:java|cs|vb|c|h|cpp|py|pas|m|pde|bas|cls)$/.test(baseName(cell)),
    );
    const lineAt = cells.findIndex((cell, index) => index !== severityAt && /^(?:line )?\d{1,6}$/i.test(cell));
    const codeAt = cells.findIndex((cell) => /^[A-Z]{1,4}\d{2,6}$/.test(cell));
    if (lineAt < 0 || (severityAt < 0 && fileAt < 0)) return null;
    // The words are the longest cell that is none of the others.
    const words = cells
      .map((cell, index) => ({ cell, index }))
      .filter(({ cell, index }) => ![severityAt, fileAt, lineAt, codeAt].includes(index) && /\s/.test(cell))
      .sort((one, other) => other.cell.length - one.cell.length)[0]?.cell;
    if (!words) return null;
    const column = cells.slice(lineAt + 1).find((cell) => /^\d{1,5}$/.test(cell));
    return {
      messages: [
        {
          severity: severityAt < 0 ? "error" : (severityOf(cells[severityAt] ?? "") ?? "error"),
          ...(fileAt < 0 ? {} : { file: baseName(cells[fileAt] ?? "") }),
          line: Math.max(1, Number((cells[lineAt] ?? "").replace(/\D/g, ""))),
          ...(column && Number(column) > 0 ? { column: Number(column) } : {}),
          ...(codeAt < 0 ? {} : { code: cells[codeAt] }),
          message: words,
          stage: "translation",
        },
      ],
      next: at + 1,
    };
  },
};

const placed =
  /^(?:[^\p{L}\d\s"'“‘]{1,3} ?)?(.{3,600}?)(?: {1,4}([\p{L}][\w.+#-]{0,30})\(([\w.-]{1,60})\))? \[(?:Ln|Line|Zeile|Ligne) (\d{1,6}), (?:Col|Column|Spalte|Colonne) (\d{1,5})\]$/u;

/** Rows that end in their place: `words source(code) [Ln 3, Col 5]`. */
const bracketed: MessageConstruct = {
  begins: (line) => line.endsWith("]") && line.includes(" ["),
  read: (context, at) => {
    const match = placed.exec(context.lines[at] ?? "");
    if (!match) return null;
    return {
      messages: [
        {
          severity: /^[⚠]/u.test(context.lines[at] ?? "") ? "warning" : "error",
          line: Math.max(1, Number(match[4])),
          ...(Number(match[5]) > 0 ? { column: Number(match[5]) } : {}),
          ...(match[3] ? { code: match[3] } : {}),
          message: match[1] ?? "",
          stage: "translation",
        },
      ],
      next: at + 1,
    };
  },
};

/**
 * An editor's list of problems, pasted. It is read for every language; the editor's checker may say more or less than
 * the real tool.
 */
export const problemList: ToolFamily = {
  id: "problem list",
  name: "an editor’s list of problems",
  checkedAgainst: null,
  constructs: [rows, bracketed],
};
