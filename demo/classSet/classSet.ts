import type { Entry } from "../../core/collecting/entries.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import { readLimits } from "../../server/limits.ts";
import type { Toolchains } from "../../server/toolchains/toolchains.ts";
import { rightPrograms, spoiltPrograms } from "./programs.ts";

/** What a student saw of a program's run, as far as its translator is there: everything on the console. */
async function seen(toolchains: Toolchains, language: string, name: string, text: string): Promise<string> {
  const toolchain = toolchains.find(language);
  if (!toolchain || !(await toolchain.available()).ready) return "";
  const outcome = await toolchain.run({
    files: [{ name, bytes: Buffer.from(text, "utf8") }],
    input: "",
    limits: readLimits(),
  });
  return consoleText(outcome.console, ["out", "err"]);
}

/**
 * The files of a class that was collected into one folder: a program a student, error outputs beside some of them or at
 * their end, a second try, and files that are no programs. Outputs come from real runs.
 */
export async function classSet(toolchains: Toolchains): Promise<Entry[]> {
  const entries: Entry[] = [];
  const add = (path: string, text: string) =>
    entries.push({ path: `deck-loads/${path}`, bytes: Buffer.from(text, "utf8") });
  const spoilt = await Promise.all(
    spoiltPrograms.map(async ({ student, language, from, to, handsIn }) => {
      const right = rightPrograms[language];
      if (!right?.text.includes(from)) throw new Error(`demo: nothing to spoil for ${student}`);
      const text = right.text.replace(from, to);
      return {
        student,
        language,
        handsIn,
        right,
        text,
        said: handsIn === "nothing" ? "" : await seen(toolchains, language, right.name, text),
      };
    }),
  );
  for (const { student, language, handsIn, right, text, said } of spoilt) {
    const mark = findLanguage(language)?.lineComment ?? "#";
    const atEnd =
      handsIn === "end" && said !== ""
        ? `\n${said
            .trimEnd()
            .split("\n")
            .map((line) => `${mark} ${line}`.trimEnd())
            .join("\n")}\n`
        : "";
    add(`${student}/${right.name}`, text + atEnd);
    if (handsIn === "file" && said !== "") add(`${student}/${right.name.replace(/\.\w+$/, "")}_error.txt`, said);
  }
  // A second try of a student, a file without content, a picture.
  add("S-02/deck_v2.py", (rightPrograms.python?.text ?? "").replace("    result = 0\n", ""));
  add("S-06/notes.txt", "");
  entries.push({
    path: "deck-loads/S-11/harbour.png",
    bytes: Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13]),
  });
  return entries;
}
