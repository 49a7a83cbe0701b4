import { existsSync, readdirSync, readFileSync } from "node:fs";
import { extname, join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { workOutAt } from "../../core/expressions/atStep.ts";
import { expressionsOn } from "../../core/expressions/expressionsOn.ts";
import { isUnknown } from "../../core/expressions/known.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { decisionsOf } from "../../core/trace/conditions.ts";
import { createObjectStore } from "../../core/trace/objectStore.ts";
import type { Trace } from "../../core/trace/trace.ts";
import { usualLimits } from "../judge/run.ts";
import { productFolder } from "../productFolder.ts";
import { createToolchains, type Toolchains } from "./toolchains.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = createToolchains();
});
afterAll(() => toolchains.close());

const folder = join(productFolder, "runners/conformance");
const languages = readdirSync(folder).filter((name) => findLanguage(name) !== undefined);

async function recorded(id: string, name: string): Promise<{ text: string; trace: Trace }> {
  const path = join(folder, id, name);
  const typed = path.slice(0, -extname(path).length).concat(".in");
  const text = readFileSync(path, "utf8");
  const trace = await toolchains.find(id)?.trace({
    files: [{ name, bytes: Buffer.from(text) }],
    input: existsSync(typed) ? readFileSync(typed, "utf8") : "",
    limits: usualLimits,
  });
  if (!trace) throw new Error(`${id} is not recorded`);
  return { text, trace };
}

describe.each(languages)("%s", (id) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const programs = readdirSync(join(folder, id)).filter((name) => extname(name) === language.extension);

  test("what is worked out of recorded values is what the run did: where it went on, and what it gave a variable", async () => {
    const wrong: string[] = [];
    let decided = 0;
    let assigned = 0;
    for (const name of programs) {
      const { text, trace } = await recorded(id, name);
      const decisions = decisionsOf(language, text, trace);
      const store = createObjectStore();
      for (const [place, step] of trace.steps.entries()) {
        for (const write of step.writes) store.apply(write);
        if (step.file !== 0 || step.raised || step.call !== undefined || step.resumes) continue;
        const [first, ...others] = expressionsOn(language, text, step.line);
        if (!first || others.length > 0) continue;
        const worked = workOutAt(language, trace, place, first);
        if (!worked || isUnknown(worked.value)) continue;
        if (first.use === "asked") {
          const holds = language.values?.isTrue(worked.value);
          const went = decisions.get(place);
          if (typeof holds !== "boolean" || !went) continue;
          decided += 1;
          if (holds !== went.holds)
            wrong.push(`${name}:${step.line} ${first.text} is ${holds}, the run says ${went.holds}`);
        }
        const [write, another] = step.writes.filter((each) => each.path.length === 1 && each.scope !== "object");
        // A whole variable, not a part of one.
        const target = /(?:^|[\s*])(\w+)\s*(?::?=|<-|←)\s*$/.exec(text.slice(0, first.from))?.[1];
        if (first.use !== "assigned" || !write?.value || another) continue;
        if (target?.toLowerCase() !== String(write.path[0]).toLowerCase()) continue;
        assigned += 1;
        const held = store.write(write.value).replace(/^true$/, "1");
        const made = worked.written.replace(/^true$/, "1");
        if (held !== made && Number(held) !== Number(made))
          wrong.push(`${name}:${step.line} ${first.text} comes to ${worked.written}, the run gave ${held}`);
      }
    }
    expect(wrong).toEqual([]);
    expect(decided).toBeGreaterThan(10);
    expect(assigned).toBeGreaterThan(20);
  });
});
