import { createReadStream } from "node:fs";
import { createInterface } from "node:readline";
import * as z from "zod";
import { type FileCheck, readChecksOf } from "../core/formats/assignmentFile.ts";
import type { Language } from "../core/languages/language.ts";
import { findLanguage, languages } from "../core/languages/languages.ts";
import type { ProgramFiles } from "../core/outcome/outcome.ts";

/** A check of a line or of a file: what is typed in, what should come out (absent: not known), what lies beside it. */
export type BatchCheck = Pick<FileCheck, "input" | "surroundings" | "comparison"> &
  Partial<Pick<FileCheck, "pieces">> & { expected?: string };

/** Checks as JSON: an array, or an assignment with its checks. */
export const checksSchema = z
  .union([z.array(z.unknown()), z.looseObject({ checks: z.array(z.unknown()) })])
  .transform((given): BatchCheck[] =>
    readChecksOf(given).map(({ expected, ...check }) => ({ ...check, ...(expected === null ? {} : { expected }) })),
  );

/** One line of a batch: everything as text; an absent key is unknown, "" is intended empty. */
export const batchLineSchema = z.object({
  id: z.union([z.string(), z.number()]),
  language: z.string(),
  program: z.union([z.string(), z.record(z.string(), z.string())]).optional(),
  input: z.string().optional(),
  expected: z.string().optional(),
  output: z.string().optional(),
  checks: checksSchema.optional(),
});
export type BatchLine = z.infer<typeof batchLineSchema>;

/** How many lines are worked on at once, if nobody says otherwise; more than the cores, so that no worker waits for the next line. */
const usuallyAtOnce = 12;

function problemWords(problem: unknown): string {
  if (problem instanceof z.ZodError)
    return problem.issues.map((issue) => `${issue.path.join(".") || "line"}: ${issue.message}`).join("; ");
  return problem instanceof Error ? problem.message : String(problem);
}

/** The program of a line as files, the main one first. A single text gets the language's usual file name. */
export function programFiles(program: NonNullable<BatchLine["program"]>, language: Language): ProgramFiles {
  const entries = typeof program === "string" ? [[language.mainName, program] as const] : Object.entries(program);
  return entries.map(([name, text]) => ({ name, bytes: Buffer.from(text, "utf8") }));
}

/**
 * Works through a list of JSON lines, several at once, and prints one JSON line each in the order given. A bad line
 * prints {id, error}.
 */
export async function runBatch(
  path: string,
  work: (line: BatchLine, language: Language) => Promise<object>,
  atOnce = usuallyAtOnce,
): Promise<void> {
  const running: Promise<string>[] = [];
  const one = async (text: string, number: number): Promise<string> => {
    let id: string | number = number;
    try {
      const raw: unknown = JSON.parse(text);
      if (
        typeof raw === "object" &&
        raw !== null &&
        "id" in raw &&
        (typeof raw.id === "string" || typeof raw.id === "number")
      )
        id = raw.id;
      const line = batchLineSchema.parse(raw);
      const language = findLanguage(line.language);
      if (!language)
        throw new Error(
          `the language ${line.language} is not known; known are ${languages.map((each) => each.id).join(", ")}`,
        );
      return JSON.stringify({ id, ...(await work(line, language)) });
    } catch (problem) {
      return JSON.stringify({ id, error: problemWords(problem) });
    }
  };
  const print = async () => {
    const next = running.shift();
    if (next && !process.stdout.write(`${await next}\n`))
      await new Promise((resolve) => process.stdout.once("drain", resolve));
  };
  let number = 0;
  for await (const text of createInterface({
    input: path === "-" ? process.stdin : createReadStream(path),
    crlfDelay: Number.POSITIVE_INFINITY,
  })) {
    number += 1;
    if (text.trim() === "") continue;
    running.push(one(text, number));
    if (running.length >= atOnce) await print();
  }
  while (running.length > 0) await print();
}
