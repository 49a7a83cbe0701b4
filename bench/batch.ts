import { execFileSync, spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { productFolder } from "../server/productFolder.ts";
import type { Measure } from "./measure.ts";

/** 200 different programs that read input, loop, and end well or fail in one of the three classes. */
function programs(): Array<{ program: string; input: string; expected: string }> {
  return Array.from({ length: 200 }, (_, number) => {
    const body = `loads = []\ncount = int(input("Loads? "))\nfor i in range(count):\n    loads.append(i * ${number} + 3)\ntotal = 0\nwhile loads:\n    total = total + loads.pop()\nprint("Deck ${number}:", total)\n`;
    const faults = [
      body,
      body.replace("while loads:", "while loads"),
      body.replace("total)", "totl)"),
      body.replace("+ 3", "- 3"),
    ];
    const total = Array.from({ length: 20 }, (__, i) => i * number + 3).reduce((sum, load) => sum + load, 0);
    return { program: faults[number % 4] ?? body, input: "20\n", expected: `Loads? Deck ${number}: ${total}\n` };
  });
}

/**
 * Whole process of `bent-nail judge --batch` against a shell loop that only runs each program; the best of three of
 * each, in turn.
 */
export async function benchBatch(): Promise<Measure[]> {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
  try {
    const all = programs();
    for (const [number, each] of all.entries()) {
      writeFileSync(join(folder, `p${number}.py`), each.program);
      writeFileSync(join(folder, `p${number}.in`), each.input);
    }
    writeFileSync(
      join(folder, "list.jsonl"),
      all.map((each, id) => JSON.stringify({ id, language: "python", ...each })).join("\n"),
    );
    const command = join(productFolder, "bin/bent-nail");
    execFileSync(command, ["--help"]);
    const time = (work: () => void) => {
      const start = performance.now();
      work();
      return performance.now() - start;
    };
    let [ours, plain] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
    for (let round = 0; round < 3; round++) {
      plain = Math.min(
        plain,
        time(
          () =>
            void spawnSync(
              "bash",
              ["-c", "for n in $(seq 0 199); do /usr/bin/python3 p$n.py < p$n.in; done >/dev/null 2>&1"],
              { cwd: folder },
            ),
        ),
      );
      ours = Math.min(
        ours,
        time(
          () =>
            void execFileSync(command, ["judge", "--search", "0", "--batch", join(folder, "list.jsonl")], {
              stdio: ["ignore", "ignore", "inherit"],
            }),
        ),
      );
    }
    console.log(`judge --batch, 200 programs: ${Math.round(ours)} ms; shell loop of python3: ${Math.round(plain)} ms`);
    return [
      {
        work: "judge 200 Python programs, whole process",
        against: "shell loop of python3 FILE",
        value: ours / plain,
        unit: "x",
        atMost: 0.5,
      },
    ];
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
