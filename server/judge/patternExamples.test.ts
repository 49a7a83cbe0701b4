import { writeFileSync } from "node:fs";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { type ExampleRecord, exampleRecords } from "../../core/patterns/exampleRecords.ts";
import { patterns } from "../../core/patterns/patterns.ts";
import { todaysShare } from "../../tools/share.ts";
import { productFolder } from "../productFolder.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { hashOfExample, runExample } from "./exampleRuns.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

const all = patterns.flatMap((pattern) => pattern.examples.map((example, at) => ({ pattern, example, at })));
/** "1" records all anew, "new" what was changed or added. */
const isRecording = process.env.BENT_NAIL_RECORD === "1" || process.env.BENT_NAIL_RECORD === "new";
const onlyNew = process.env.BENT_NAIL_RECORD === "new";

/** A fortieth of all; those that were changed since they were recorded, or never were, always. */
const share = new Set(todaysShare(all, 40));
const chosen = all.filter(
  (each) =>
    (isRecording && !onlyNew) ||
    (!isRecording && share.has(each)) ||
    exampleRecords[each.pattern.id]?.[each.at]?.example !== hashOfExample(each.example),
);

test("an example of a kind of mistake shows what was recorded of it", { timeout: 1_200_000 }, async () => {
  const made: Record<string, Record<number, ExampleRecord>> = {};
  const problems: string[] = [];
  for (const { pattern, example, at } of chosen) {
    const name = `${pattern.id} ${example.language} ${at}`;
    const run = await runExample(toolchains, example, { harmless: !pattern.fault });
    if (!run.ok) problems.push(`${name}: ${run.problem}`);
    else if (isRecording) made[pattern.id] = { ...made[pattern.id], [at]: run.record };
    else {
      const known = exampleRecords[pattern.id]?.[at];
      // What an undefined value prints differs from run to run.
      const plain = (record: ExampleRecord | undefined) => ({ ...record, printed: "" });
      expect(plain(run.record), name).toEqual(plain(known));
    }
  }
  expect(problems).toEqual([]);
  if (isRecording) {
    const records = Object.fromEntries(
      patterns.map(({ id, examples }) => [
        id,
        examples.map((_, at) => made[id]?.[at] ?? exampleRecords[id]?.[at]).filter((record) => record !== undefined),
      ]),
    );
    writeFileSync(join(productFolder, "core/patterns/recorded.json"), `${JSON.stringify(records, null, 2)}\n`);
  }
});
