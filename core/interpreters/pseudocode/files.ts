import type { MachineState, OpenFile } from "./state.ts";
import { Stop, textOf, type Value } from "./values.ts";

type Files = Pick<MachineState, "files" | "open">;

function nameOf(value: Value): string {
  if (typeof value === "string") return value;
  throw new Stop("wrong kind", "The name of a file is a text.");
}

/** A file that is open for one of some uses. */
function openOne({ open }: Files, name: string, uses: ReadonlyArray<OpenFile["use"]>, words: string): OpenFile {
  const file = Object.hasOwn(open, name) ? open[name] : undefined;
  if (file && uses.includes(file.use)) return file;
  throw new Stop("file not open", `The file ${name} is not open for ${words}.`);
}

export function openFile(state: Files, file: Value, use: OpenFile["use"]): void {
  const name = nameOf(file);
  if (Object.hasOwn(state.open, name)) throw new Stop("file open", `The file ${name} is open already.`);
  const known = Object.hasOwn(state.files, name) ? state.files[name] : undefined;
  if (use === "read" && !known) throw new Stop("no such file", `There is no file ${name}.`);
  const lines = use === "write" ? [] : (known ?? []);
  state.files[name] = lines;
  state.open[name] = { lines, at: 0, use };
}

export function readLine(state: Files, file: Value): string {
  const name = nameOf(file);
  const open = openOne(state, name, ["read"], "reading");
  const line = open.lines[open.at];
  if (line === undefined) throw new Stop("end of file", `The file ${name} has no more lines.`);
  open.at += 1;
  return line;
}

export function writeLine(state: Files, file: Value, value: Value): void {
  openOne(state, nameOf(file), ["write", "append"], "writing").lines.push(textOf(value));
}

export function closeFile(state: Files, file: Value): void {
  const name = nameOf(file);
  openOne(state, name, ["read", "write", "append"], "anything");
  delete state.open[name];
}

export function isAtEnd(state: Files, file: Value): boolean {
  const open = openOne(state, nameOf(file), ["read"], "reading");
  return open.at >= open.lines.length;
}
