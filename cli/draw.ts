import { type Command, InvalidArgumentError } from "commander";
import { pictureAt } from "../core/outcome/drawing.ts";
import { unknownBecause } from "../core/outcome/outcome.ts";
import { filmSvg, pictureSvg } from "../core/outcome/pictureSvg.ts";
import { readLimits } from "../server/limits.ts";
import { createToolchains } from "../server/toolchains/toolchains.ts";
import { chooseLanguage, MaterialProblem, readProgram, readText } from "./material.ts";

function frameNumber(text: string): number {
  const number = Number(text);
  if (!Number.isInteger(number) || number < 0) throw new InvalidArgumentError("a whole number from 0 is needed");
  return number;
}

/** Adds `bent-nail draw`. */
export function addDrawCommand(program: Command): void {
  program
    .command("draw")
    .description("run a drawing sketch and print what it drew, as SVG")
    .argument("<program>", "the program file")
    .option("--language <id>", "language of the program")
    .option("--input <file>", "what the user does, a line each (docs/sketches.md)")
    .option("--frame <number>", "the picture after this frame, the last one by default", frameNumber)
    .option("--film", "the pictures after all frames, in rows")
    .action(async (path: string, options: { language?: string; input?: string; frame?: number; film?: boolean }) => {
      const language = chooseLanguage(options.language, path);
      if (!language.draws) throw new MaterialProblem(`programs in ${language.name} draw nothing here`);
      const input = options.input === undefined ? "" : await readText(options.input);
      const [misread] = language.actions?.problems(input) ?? [];
      if (misread) throw new MaterialProblem(`${options.input}, line ${misread.line}: ${misread.says}`);
      const files = await readProgram(path);
      const toolchains = createToolchains();
      try {
        const toolchain = toolchains.find(language.id);
        const state = await toolchain?.available();
        if (!toolchain || !state?.ready)
          throw new MaterialProblem(state && !state.ready ? state.reason : `${language.name} cannot be run here`);
        const outcome = await toolchain.run({ files, input, limits: readLimits() });
        const unknown = unknownBecause(outcome);
        if (unknown !== null) throw new MaterialProblem(unknown);
        const { drawing } = outcome;
        const primary = outcome.diagnostics.find((each) => each.primary);
        if (primary) process.stderr.write(`bent-nail: ${path}, line ${primary.line ?? "?"}: ${primary.message}\n`);
        if (!drawing) throw new MaterialProblem("nothing was drawn: it did not begin to run");
        if (options.frame !== undefined && options.frame > drawing.last)
          throw new MaterialProblem(`there is no frame ${options.frame}; the last one is ${drawing.last}`);
        const picture = pictureAt(drawing, options.frame ?? drawing.last);
        process.stdout.write(`${options.film ? filmSvg(drawing) : pictureSvg(picture)}\n`);
      } finally {
        await toolchains.close();
      }
    });
}
