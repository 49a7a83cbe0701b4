import type { RunRequest } from "../../core/outcome/outcome.ts";

/**
 * What is changed at a step, as recorders take it: the step's index, its line, the name and the value that it gets ("" and "" for none), then
 * for each file its name and "=" with its text, or "" where it is taken away. Null where nothing is changed.
 */
export function changeWords({ change }: Pick<RunRequest, "change">): string[] | null {
  if (!change) return null;
  const { step, line, put, files = {} } = change;
  const pairs = Object.entries(files).flatMap(([name, text]) => [name, text === null ? "" : `=${text}`]);
  return [String(step), String(line), put?.name ?? "", put?.value ?? "", ...pairs];
}
