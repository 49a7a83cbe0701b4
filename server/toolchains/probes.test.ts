import { existsSync, readdirSync, readFileSync } from "node:fs";
import { extname, join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { usualLimits } from "../judge/run.ts";
import { productFolder } from "../productFolder.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "./toolchains.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

const folder = join(productFolder, "runners/conformance");
const mark = "PROBE";

/** A line that gives a plain variable a value, with a print of that behind it, in the same block; null for other lines. */
type Probe = (line: string, number: number) => { name: string; text: string } | null;

const inBraces =
  (print: (number: number, name: string) => string): Probe =>
  (line, number) => {
    const found =
      /^(\s*)((?:int|long|double|float|string|String|var|bool|boolean|char|byte|decimal|Integer)\??\s+)?(\w+)\s*(=(?!=)|[-+*/%]=|\+\+|--)([^{]*);\s*\/\/>/.exec(
        line,
      );
    if (!found) return null;
    const [, blanks = "", type = "", name = "", sign = "", rest = ""] = found;
    if (/=/.test(rest) || rest.includes(";")) return null;
    const statement = `${type}${name}${sign}${rest};`;
    return {
      name,
      text: type ? `${blanks}${statement} ${print(number, name)}` : `${blanks}{ ${statement} ${print(number, name)} }`,
    };
  };

/** How each language prints a variable behind the line that gives it a value. */
const probes: Readonly<Record<string, Probe>> = {
  java: inBraces((number, name) => `System.out.println("\\n${mark} ${number} ${name}=" + ${name});`),
  csharp: inBraces((number, name) => `System.Console.WriteLine("\\n${mark} ${number} ${name}=" + ${name});`),
  pascal: (line, number) => {
    const found = /^(\s*)(\w+)\s*:=\s*([^;:]*?)(;?)\s*\/\/>/.exec(line);
    if (!found) return null;
    const [, blanks = "", name = "", value = "", end = ""] = found;
    const print = `writeln; writeln('${mark} ${number} ${name}=', ${name})`;
    return { name, text: `${blanks}begin ${name} := ${value}; ${print} end${end}` };
  },
  octave: (line, number) => {
    const found = /^(\s*)(\w+)\s*(=(?!=)|[-+*/]=|\+\+|--)([^;=]*);\s*%>/.exec(line);
    if (!found) return null;
    const [, blanks = "", name = "", sign = "", rest = ""] = found;
    return {
      name,
      text: `${blanks}${name}${sign}${rest}; printf("\\n${mark} ${number} ${name}=%s\\n", num2str(${name}, 15));`,
    };
  },
};

/** Plain whole numbers that a line's rows say of a variable, in order. */
function saidOf(line: string, name: string): string[] {
  const rows = /(?:\/\/|%)>\s*(.*)$/.exec(line)?.[1]?.split(" ; ") ?? [];
  return rows.flatMap((row) =>
    row.split(" & ").flatMap((cell) => {
      const [, title = "", value = ""] = /^(?:.*\.)?(\w+)=(-?\d+)$/.exec(cell.trim()) ?? [];
      return title === name ? [value] : [];
    }),
  );
}

/** True if the first comes in the second, in order, with others between. */
function comesIn(part: readonly string[], whole: readonly string[]): boolean {
  let at = 0;
  for (const each of whole) if (each === part[at]) at += 1;
  return at === part.length;
}

describe.each(Object.keys(probes))("%s", (language) => {
  const extension = findLanguage(language)?.extension ?? "";
  const programs = readdirSync(join(folder, language)).filter((name) => extname(name) === extension);
  let compared = 0;

  test.concurrent.each(programs)("%s: the plain program prints what its rows say", async (name) => {
    const path = join(folder, language, name);
    const lines = lineTexts(readFileSync(path, "utf8"));
    const probed = lines.map((line, index) => {
      const probe = probes[language]?.(line, index + 1) ?? null;
      return probe && saidOf(line, probe.name).length > 0 ? probe : null;
    });
    const text = lines.map((line, index) => probed[index]?.text ?? line).join("\n");
    const typed = path.slice(0, -extension.length).concat(".in");
    const outcome = await toolchains.find(language)?.run({
      files: [{ name, bytes: Buffer.from(`${text}\n`) }],
      input: existsSync(typed) ? readFileSync(typed, "utf8") : "",
      limits: usualLimits,
    });
    if (!outcome) throw new Error(`${language} does not run`);
    expect([outcome.started, outcome.stoppedBy !== "time"], outcome.diagnostics[0]?.message).toEqual([true, true]);
    const printed = new Map<number, string[]>();
    const unchanged = new Map<number, string[]>();
    const last = new Map<string, string>();
    for (const [, number, variable = "", value = ""] of consoleText(outcome.console, ["out"]).matchAll(
      new RegExp(`^${mark} (\\d+) (\\w+)=(.*)$`, "gm"),
    )) {
      const kept = last.get(variable) === value.trim() ? unchanged : printed;
      kept.set(Number(number), [...(kept.get(Number(number)) ?? []), value.trim()]);
      last.set(variable, value.trim());
    }
    for (const [index, probe] of probed.entries()) {
      if (!probe) continue;
      const said = saidOf(lines[index] ?? "", probe.name);
      const values = printed.get(index + 1) ?? [];
      compared += said.length;
      // What is as before stands in no cell, unless another call has its own.
      const others = said.filter((value) => !unchanged.get(index + 1)?.includes(value));
      expect([said, comesIn(others, values)], `line ${index + 1}: printed ${values}`).toEqual([said, true]);
      expect(
        values.filter((value) => !said.includes(value)),
        `line ${index + 1}`,
      ).toEqual([]);
    }
  });

  test("there was something to compare", () => {
    expect(compared).toBeGreaterThan(30);
  });
});
