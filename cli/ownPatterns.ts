import * as z from "zod";
import { ownPatternsFileSchema, patternOfOwn } from "../core/patterns/ownPattern.ts";
import type { Pattern } from "../core/patterns/pattern.ts";
import { MaterialProblem, readText } from "./material.ts";

/** Kinds of mistake of a teacher's own from a file; none where none is named. */
export async function readOwnPatterns(path: string | undefined): Promise<Pattern[]> {
  if (path === undefined) return [];
  try {
    return ownPatternsFileSchema.parse(JSON.parse(await readText(path))).patterns.map(patternOfOwn);
  } catch (problem) {
    if (problem instanceof MaterialProblem) throw problem;
    const why =
      problem instanceof z.ZodError ? z.prettifyError(problem) : problem instanceof Error ? problem.message : "";
    throw new MaterialProblem(`the kinds of mistake in ${path} cannot be read: ${why}`);
  }
}
