import * as z from "zod";
import { findLanguage } from "../../languages/languages.ts";
import { lineTexts } from "../../source/lines.ts";
import { mixed } from "../mixed.ts";
import { definePartsKind, sharedMark } from "../partsKind.ts";
import { slipsIn } from "../planting/slips.ts";
import { isCutOff, seenIn } from "../seen.ts";

const versionSchema = z.object({ line: z.number().int().positive(), text: z.string(), gives: z.string() });
const schema = z.object({
  ...{ key: z.string(), kind: z.literal("versions"), marks: z.number().int().min(1) },
  versions: z.array(versionSchema).min(2),
  /** The order in which what they give is shown. */
  shown: z.array(z.number().int().min(0)),
});
type VersionsTask = z.infer<typeof schema>;

const mostVersions = 4;
const mostTried = 14;
const letters = ["A", "B", "C", "D", "E"];
const nameOf = (at: number) => `version ${at + 1}`;
const letterOf = (task: VersionsTask, version: number) => letters[task.shown.indexOf(version)] ?? "";

/** Programs that differ by one small change each, and what they give: which belongs to which. */
export const versions = definePartsKind<VersionsTask>({
  kind: "versions",
  title: "Which version gives which output?",
  schema,
  shows: "what comes out",
  needsRun: true,
  answeredBeforeTrying: true,
  make: async ({ exercise, run }, { key, marks }) => {
    const language = findLanguage(exercise.language);
    const [check] = exercise.checks;
    if (!language || !check) return "Versions cannot be asked: there is no check.";
    const { program } = exercise;
    const own = seenIn(await run(program, check));
    if (own === null || own.class === "syntax") return "Versions cannot be asked: the program does not start.";
    const given = (seen: NonNullable<typeof own>) =>
      `${seen.output.trimEnd()}${seen.message === "" ? "" : `\n${seen.message}`}`.trim();
    const found: VersionsTask["versions"] = [{ line: 1, text: "", gives: given(own) }];
    const lines = new Set<number>();
    let tried = 0;
    for (const slip of slipsIn(language, program)) {
      if (found.length === mostVersions || tried === mostTried) break;
      // The intended program is none of them, and each is changed on a line of its own.
      if (slip.program === exercise.mended || lines.has(slip.line)) continue;
      tried += 1;
      const ran = await run(slip.program, check);
      const seen = seenIn(ran);
      if (seen === null || ("outcome" in ran && isCutOff(ran.outcome))) continue;
      if (seen.class === "syntax" || seen.class === "none" || found.some(({ gives }) => gives === given(seen)))
        continue;
      lines.add(slip.line);
      found.push({ line: slip.line, text: lineTexts(slip.program)[slip.line - 1] ?? "", gives: given(seen) });
    }
    if (found.length < 3) return "Versions are not asked: no two small changes of this program give different outputs.";
    return { key, kind: "versions", marks, versions: found, shown: mixed(key, found.length) };
  },
  parts: (task, exercise) => [
    {
      says: `Here are ${task.versions.length} versions of the program, each with one small change, and what they give${
        (exercise.checks[0]?.input ?? "") === ""
          ? ""
          : ` when ${(exercise.checks[0]?.input ?? "").trim().split("\n").join(" / ")} is typed in`
      }.`,
      shown: task.shown.map((version, at) => ({
        ...{ says: `Output ${letters[at]}`, text: task.versions[version]?.gives ?? "" },
      })),
      fields: task.versions.map(({ line, text }, at) => ({
        ...{ name: nameOf(at), rows: 1, code: text !== "" },
        says: text === "" ? "The program as it stands" : `line ${line}: ${text.trim()}`,
        options: task.shown.map((_, place) => ({ value: letters[place] ?? "", words: `Output ${letters[place]}` })),
      })),
    },
  ],
  right: (task) => Object.fromEntries(task.versions.map((_, at) => [nameOf(at), letterOf(task, at)])),
  rule: () =>
    "The marks are shared over the versions, in halves, rounded down. One output for all of them earns nothing.",
  scheme: (task) => [
    {
      ...{ item: "versions", marks: task.marks },
      words: task.versions
        .map(({ line, text }, at) => `${text === "" ? "as it stands" : `line ${line}`}: ${letterOf(task, at)}`)
        .join("\n"),
    },
  ],
  worthless: (task) => [Object.fromEntries(task.versions.map((_, at) => [nameOf(at), "A"]))],
  mark: (task, texts) => {
    const names = task.versions.map((_, at) => nameOf(at));
    const chosen = names.map((name) => texts[name] ?? "");
    const hits = names.filter((name, at) => texts[name] === letterOf(task, at)).length;
    const all = new Set(chosen.filter((each) => each !== ""));
    const given = { item: "versions", possible: task.marks };
    if (all.size === 1 && chosen.filter((each) => each !== "").length > 1)
      return [sharedMark({ ...given, reason: "One output for all versions is no answer." }, 0, names.length)];
    return [sharedMark(given, hits, names.length)];
  },
});
