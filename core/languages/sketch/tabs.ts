import { readEnding, sketchEnding } from "./words.ts";

/** A sketch in several files is one text: the main file first, then the others in their order, each beginning on a line of its own. */
export type Tabs = {
  text: string;
  /** Where in the text the main file ends. */
  mainEnd: number;
  /** The file and the line in it (both by their place, the line from 1) that a line of the whole text is. */
  placeOf: (line: number) => { file: number; line: number };
};

const endings = [sketchEnding, readEnding];

/** True for a file that is a part of a sketch, by its name. */
export const isTab = (name: string): boolean => endings.some((each) => name.toLowerCase().endsWith(each));

/** The files of a sketch as one text. What is no part of it (by its name) keeps its place among the files and is left out. */
export function joinTabs(files: ReadonlyArray<{ name: string; text: string }>): Tabs {
  const parts: Array<{ file: number; begins: number; lines: number }> = [];
  let text = "";
  let lines = 0;
  let mainEnd = 0;
  for (const [file, { name, text: own }] of files.entries()) {
    if (file > 0 && !isTab(name)) continue;
    // The first half of a line end would become a whole one.
    if (file > 0) text += text.endsWith("\r") ? "\r\n" : "\n";
    text += own;
    if (file === 0) mainEnd = text.length;
    // A part that ends with its line's end has an empty line behind that.
    const count = own.split(/\r\n|\n|\r/).length;
    parts.push({ file, begins: lines, lines: count });
    lines += count;
  }
  return {
    ...{ text, mainEnd },
    placeOf: (line) => {
      const part = parts.findLast(({ begins }) => line > begins) ?? { file: 0, begins: 0, lines };
      return { file: part.file, line: Math.min(line - part.begins, part.lines) };
    },
  };
}

/**
 * A text of the translator or of the machine that names places of the whole as places of the main file, with each place in the file that it
 * is in.
 */
export function withPlaces(said: string, names: readonly string[], tabs: Tabs): string {
  const main = names[0] ?? "";
  const base = main.split("/").at(-1) ?? main;
  return said
    .split("\n")
    .map((line) => {
      const message = line.startsWith(`${main}:`) ? /^(\d+):/.exec(line.slice(main.length + 1)) : null;
      if (message) {
        const place = tabs.placeOf(Number(message[1]));
        return `${names[place.file] ?? main}:${place.line}:${line.slice(main.length + 1 + message[0].length)}`;
      }
      const call = /^(\s*at .*\()([^():]+):(\d+)\)(.*)$/.exec(line);
      if (call?.[2] !== base) return line;
      const place = tabs.placeOf(Number(call[3]));
      const name = (names[place.file] ?? base).split("/").at(-1) ?? base;
      return `${call[1]}${name}:${place.line})${call[4]}`;
    })
    .join("\n");
}
