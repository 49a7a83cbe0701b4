import { readFile } from "node:fs/promises";
import { basename } from "node:path";
import type { Command } from "commander";
import { MaterialProblem, readMaterial, readStandardInput, readText } from "./material.ts";

/** The address of the call that belongs to a course's hand-in address, as either of them. */
function callAddress(to: string): string {
  try {
    const address = new URL(to);
    const code = /\/(?:s|api)\/hand-in\/([\w-]+)/.exec(address.pathname)?.[1];
    if (code) return new URL(`/api/hand-in/${code}`, address).href;
  } catch {
    // Said below.
  }
  throw new MaterialProblem(`${to} is no hand-in address; it looks like http://…/s/hand-in/CODE`);
}

/** Adds `bent-nail hand-in`. */
export function addHandInCommand(program: Command): void {
  program
    .command("hand-in")
    .description("hand a program in to a course, with the error output on standard input")
    .argument("<program>", "the program file")
    .requiredOption("--to <address>", "the course's hand-in address")
    .option("--student <label>", "your label in the course")
    .option("--code <code>", "your personal code")
    .option("--input <file>", "what was typed in")
    .option("--intent <words>", "what it was meant to do")
    .option("--instead <words>", "what it did instead")
    .option("--json", "print JSON")
    .action(
      async (
        path: string,
        options: {
          to: string;
          student?: string;
          code?: string;
          input?: string;
          intent?: string;
          instead?: string;
          json?: boolean;
        },
      ) => {
        const form = new FormData();
        await readMaterial(path);
        form.set("program", new Blob([await readFile(path)]), basename(path));
        const output = process.stdin.isTTY ? "" : await readStandardInput();
        for (const [name, value] of Object.entries({
          output,
          student: options.student,
          code: options.code,
          intent: options.intent,
          instead: options.instead,
        }))
          if (value) form.set(name, value);
        if (options.input !== undefined) form.set("input", await readText(options.input));
        let response: Response;
        try {
          response = await fetch(callAddress(options.to), {
            method: "POST",
            body: form,
            headers: { Accept: options.json ? "application/json" : "text/plain" },
          });
        } catch (problem) {
          if (problem instanceof MaterialProblem) throw problem;
          throw new MaterialProblem(`no answer from ${options.to}`);
        }
        const text = (await response.text()).trim();
        if (!response.ok)
          throw new MaterialProblem(text.split("\n")[0] || `the server refused it (${response.status})`);
        process.stdout.write(`${text}\n`);
      },
    );
}
