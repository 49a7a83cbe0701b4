import { execFileSync, spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { findLanguage } from "../core/languages/languages.ts";
import { limitsSchema } from "../core/outcome/outcome.ts";
import { productFolder } from "../server/productFolder.ts";
import { createToolchains } from "../server/toolchains/toolchains.ts";
import type { Measure } from "./measure.ts";

const many = 40;

/**
 * For each language a program with a number in it, four ways of spoiling it, the plain tools as a shell would use them
 * on `p$n`, and the bound.
 */
const plans: Record<
  string,
  { text: (number: number) => string; faults: (text: string) => string[]; shell: string; atMost: number }
> = {
  java: {
    text: (number) =>
      `import java.util.Scanner;\npublic class Main {\n  static int load(int i) {\n    return i * ${number} + 3;\n  }\n  public static void main(String[] args) {\n    Scanner in = new Scanner(System.in);\n    System.out.print("Loads? ");\n    int count = in.nextInt();\n    int total = 0;\n    for (int i = 0; i < count; i++) {\n      total = total + load(i);\n    }\n    System.out.println("Deck ${number}: " + total);\n  }\n}\n`,
    faults: (text) => [
      text,
      text.replace("int total = 0;", "int total = 0"),
      text.replace("total + load(i)", "total + load(i) / (count - 20)"),
      text.replace("+ 3", "- 3"),
    ],
    shell: "cd p$n && javac Main.java && java Main < ../in",
    atMost: 0.25,
  },
  c: {
    text: (number) =>
      `#include <stdio.h>\nint load(int i)\n{\n    return i * ${number} + 3;\n}\nint main(void)\n{\n    int count, total = 0;\n    printf("Loads? ");\n    scanf("%d", &count);\n    for (int i = 0; i < count; i++)\n        total = total + load(i);\n    printf("Deck ${number}: %d\\n", total);\n    return 0;\n}\n`,
    faults: (text) => [
      text,
      text.replace("total = 0;", "total = 0"),
      text.replace("total + load(i)", "total + load(i) / (count - 20)"),
      text.replace("+ 3", "- 3"),
    ],
    shell: "cd p$n && gcc Main.c && ./a.out < ../in",
    atMost: 1.2,
  },
  csharp: {
    text: (number) =>
      `using System;\nclass Program\n{\n    static int Load(int i)\n    {\n        return i * ${number} + 3;\n    }\n    static void Main()\n    {\n        Console.Write("Loads? ");\n        int count = int.Parse(Console.ReadLine());\n        int total = 0;\n        for (int i = 0; i < count; i++)\n            total = total + Load(i);\n        Console.WriteLine("Deck ${number}: " + total);\n    }\n}\n`,
    faults: (text) => [
      text,
      text.replace("int total = 0;", "int total = 0"),
      text.replace("total + Load(i)", "total + Load(i) / (count - 20)"),
      text.replace("+ 3", "- 3"),
    ],
    shell: "cd p$n && mcs Main.cs && mono Main.exe < ../in",
    atMost: 0.5,
  },
  pascal: {
    text: (number) =>
      `program Deck;\nvar\n  count, total, i: longint;\nfunction Load(i: longint): longint;\nbegin\n  Load := i * ${number} + 3;\nend;\nbegin\n  write('Loads? ');\n  readln(count);\n  total := 0;\n  for i := 0 to count - 1 do\n    total := total + Load(i);\n  writeln('Deck ${number}: ', total);\nend.\n`,
    faults: (text) => [
      text,
      text.replace("total := 0;", "total := 0"),
      text.replace("total + Load(i)", "total + Load(i) div (count - 20)"),
      text.replace("+ 3", "- 3"),
    ],
    shell: "cd p$n && fpc Main.pas && ./Main < ../in",
    atMost: 1,
  },
  octave: {
    text: (number) =>
      `1;\nfunction r = load_of(i)\n  r = i * ${number} + 3;\nend\ncount = input("Loads? ");\ntotal = 0;\nfor i = 0:count - 1\n  total = total + load_of(i);\nend\nprintf("Deck ${number}: %d\\n", total);\n`,
    faults: (text) => [
      text,
      text.replace("total + load_of(i);\nend", "total + load_of(i);"),
      text.replace("load_of(i);\nend\nprintf", "loadof(i);\nend\nprintf"),
      text.replace("+ 3", "- 3"),
    ],
    shell: "octave p$n/Main.m < in",
    atMost: 0.95,
  },
};

const time = (work: () => void) => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

/**
 * Judging 40 programs of each language in a batch, against a shell loop of the plain tools that only translates and
 * runs them; the best of two, in turn.
 */
async function benchBatches(): Promise<Measure[]> {
  const measures: Measure[] = [];
  for (const [id, plan] of Object.entries(plans)) {
    const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
    try {
      const extension = findLanguage(id)?.extension ?? "";
      const lines = Array.from({ length: many }, (_, number) => {
        const program = plan.faults(plan.text(number))[number % 4] ?? "";
        mkdirSync(join(folder, `p${number}`));
        writeFileSync(join(folder, `p${number}`, `Main${extension}`), program);
        const total = Array.from({ length: 20 }, (__, i) => i * number + 3).reduce((sum, load) => sum + load, 0);
        return JSON.stringify({
          id: number,
          language: id,
          program: { [`Main${extension}`]: program },
          input: "20\n",
          expected: `Loads? Deck ${number}: ${total}\n`,
        });
      });
      writeFileSync(join(folder, "in"), "20\n");
      writeFileSync(join(folder, "list.jsonl"), lines.join("\n"));
      const command = join(productFolder, "bin/bent-nail");
      let [ours, plain] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
      for (let round = 0; round < 2; round++) {
        plain = Math.min(
          plain,
          time(
            () =>
              void spawnSync(
                "bash",
                ["-c", `for n in $(seq 0 ${many - 1}); do ( ${plan.shell} ); done >/dev/null 2>&1`],
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
      console.log(
        `judge --batch, ${many} programs of ${id}: ${Math.round(ours)} ms; shell loop: ${Math.round(plain)} ms`,
      );
      measures.push({
        work: `judge ${many} ${id} programs, whole process`,
        against: "shell loop of the plain tools",
        value: ours / plain,
        unit: "x",
        atMost: plan.atMost,
      });
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  }
  return measures;
}

const loops = {
  java: "public class Main {\n  public static void main(String[] args) {\n    int low = 0;\n    int high = 0;\n    int tide = 1;\n    for (int hour = 0; hour < 500; hour++) {\n      low = low + tide;\n      high = high + low % 7;\n      tide = hour % 5;\n    }\n  }\n}\n",
  c: "int main(void)\n{\n    int low = 0;\n    int high = 0;\n    int tide = 1;\n    for (int hour = 0; hour < 500; hour++) {\n        low = low + tide;\n        high = high + low % 7;\n        tide = hour % 5;\n    }\n    return 0;\n}\n",
};

/**
 * Recording 2 000 steps, whole call with translating, against the bare debugger stepping the same lines of a program
 * that is translated already.
 */
async function benchRecording(): Promise<Measure[]> {
  const toolchains = createToolchains();
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
  const limits = limitsSchema.parse({ cpuSeconds: 30, wallSeconds: 60 });
  const measures: Measure[] = [];
  try {
    writeFileSync(join(folder, "Main.java"), loops.java);
    writeFileSync(join(folder, "main.c"), loops.c);
    execFileSync("javac", [
      "-g",
      "-d",
      folder,
      join(folder, "Main.java"),
      join(productFolder, "bench/debuggers/Stepper.java"),
    ]);
    execFileSync("gcc", ["-g", "-O0", "-o", join(folder, "main"), join(folder, "main.c")]);
    const bare = {
      java: ["java", ["-cp", folder, "Stepper", folder]],
      c: ["gdb", ["-nx", "-batch", "-x", join(productFolder, "bench/debuggers/stepper.py"), join(folder, "main")]],
    } as const;
    for (const language of ["java", "c"] as const) {
      const toolchain = toolchains.find(language);
      if (!toolchain) continue;
      const request = {
        files: [{ name: language === "java" ? "Main.java" : "main.c", bytes: Buffer.from(loops[language]) }],
        input: "",
        limits,
      };
      let [ours, plain, steps] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY, 0];
      let stepped = "";
      for (let round = 0; round < 3; round++) {
        const start = performance.now();
        steps = (await toolchain.trace(request)).steps.length;
        ours = Math.min(ours, performance.now() - start);
        plain = Math.min(
          plain,
          time(() => {
            stepped = execFileSync(bare[language][0], bare[language][1], {
              encoding: "utf8",
              stdio: ["ignore", "pipe", "ignore"],
            });
          }),
        );
      }
      if (steps < 2000 || Number(stepped.trim().split("\n").at(-1)) < 2000)
        throw new Error(`${language}: ${steps} steps here, ${stepped.trim()} there`);
      console.log(
        `record ${steps} steps of ${language}: ${Math.round(ours)} ms; bare debugger: ${Math.round(plain)} ms`,
      );
      measures.push({
        work: `record 2 000 steps of ${language}`,
        against: "bare debugger stepping the same lines",
        value: ours / plain,
        unit: "x",
        atMost: language === "java" ? 0.1 : 0.2,
      });
    }
    return measures;
  } finally {
    await toolchains.close();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The first run of a language after the server starts, against the plain tool. */
async function benchFirstRuns(): Promise<Measure[]> {
  const measures: Measure[] = [];
  for (const [id, plan] of Object.entries(plans)) {
    const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
    try {
      const extension = findLanguage(id)?.extension ?? "";
      const text = plan.text(7);
      mkdirSync(join(folder, "p0"));
      writeFileSync(join(folder, "p0", `Main${extension}`), text);
      writeFileSync(join(folder, "in"), "20\n");
      let [ours, plain] = [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY];
      for (let round = 0; round < 2; round++) {
        const toolchains = createToolchains();
        // As the server does when it starts.
        await toolchains.prepare();
        const start = performance.now();
        const outcome = await toolchains.find(id)?.run({
          files: [{ name: `Main${extension}`, bytes: Buffer.from(text) }],
          input: "20\n",
          limits: limitsSchema.parse({}),
        });
        ours = Math.min(ours, performance.now() - start);
        await toolchains.close();
        if (!outcome?.finished) throw new Error(`${id} did not run`);
        plain = Math.min(
          plain,
          time(() => void spawnSync("bash", ["-c", `n=0; ${plan.shell}`], { cwd: folder })),
        );
      }
      console.log(`first run of ${id}: ${Math.round(ours)} ms; plain tool: ${Math.round(plain)} ms`);
      measures.push({
        work: `first ${id} run after the start`,
        against: "the plain tool",
        value: ours / plain,
        unit: "x",
        atMost: 1.5,
      });
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  }
  return measures;
}

/** The languages besides Python: batches, recording, first runs. */
export async function benchLanguages(): Promise<Measure[]> {
  return [...(await benchBatches()), ...(await benchRecording()), ...(await benchFirstRuns())];
}
