import { readFile } from "node:fs/promises";
import { basename } from "node:path";
import type { Language } from "../core/languages/language.ts";
import { findLanguage, languages } from "../core/languages/languages.ts";
import { languageOfName } from "../core/languages/recognise.ts";
import type { ProgramFiles } from "../core/outcome/outcome.ts";
import { decodeText } from "../core/source/decode.ts";

/**
 * Something about the given material that keeps a command from going on; its message is for the person. Exit code 1.
 */
export class MaterialProblem extends Error {}

/** Reads a file or says plainly why not. */
export async function readMaterial(path: string): Promise<Buffer> {
  try {
    return await readFile(path);
  } catch (problem) {
    const code = problem instanceof Error && "code" in problem ? String(problem.code) : "";
    throw new MaterialProblem(
      code === "ENOENT"
        ? `there is no file ${path}`
        : code === "EISDIR"
          ? `${path} is a folder, not a program`
          : `${path} cannot be read (${code})`,
    );
  }
}

/** Reads a file as text, whatever its encoding. */
export async function readText(path: string): Promise<string> {
  return decodeText(await readMaterial(path)).text;
}

/** The language by its id, or by the ending of a file name if no id is given. */
export function chooseLanguage(id: string | undefined, fileName: string | undefined): Language {
  const language = id === undefined ? languageOfName(fileName ?? "") : findLanguage(id);
  if (language) return language;
  const known = languages.map((each) => each.id).join(", ");
  throw new MaterialProblem(
    id === undefined
      ? `the language of ${fileName ?? "the program"} is not clear; name it with --language (${known})`
      : `the language ${id} is not known; known are ${known}`,
  );
}

/** A program file ready to run, refused if it is no text. */
export async function readProgram(path: string): Promise<ProgramFiles> {
  const bytes = await readMaterial(path);
  if (decodeText(bytes).binary) throw new MaterialProblem(`${path} is no program text`);
  return [{ name: basename(path), bytes }];
}

/** Everything on standard input, as text. */
export async function readStandardInput(): Promise<string> {
  const parts: Buffer[] = [];
  for await (const part of process.stdin) parts.push(Buffer.isBuffer(part) ? part : Buffer.from(String(part)));
  return decodeText(Buffer.concat(parts)).text;
}
