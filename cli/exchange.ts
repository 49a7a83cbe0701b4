import { writeFile } from "node:fs/promises";
import { type Command, InvalidArgumentError, Option } from "commander";
import { caseFormats } from "../core/formats/formats.ts";
import type { Imported } from "../server/casebook/importBundle.ts";
import { askRunning, whereDataIs, withData } from "./data.ts";
import { MaterialProblem, readMaterial } from "./material.ts";

const formats = [...caseFormats.map(({ id }) => id), "bundle"];

/** A day as an option is given; others would leave out everything, or nothing. */
function dayOf(text: string): string {
  const day = new Date(`${text}T00:00:00Z`);
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text) || Number.isNaN(day.getTime()) || !day.toISOString().startsWith(text))
    throw new InvalidArgumentError("a day is written like 2026-09-01");
  return text;
}

/** Adds `bent-nail export`: cases out in open formats. */
export function addExportCommand(program: Command): void {
  program
    .command("export")
    .description("take cases out: a table, results with fixes, diffs, entries, or a bundle for another Bent Nail")
    .addOption(new Option("--format <format>", "what they are written as").choices(formats).default("bundle"))
    .option("--out <file>", "where to; else standard output")
    .option("--course <key>", "only those of a course, by its name or key")
    .addOption(new Option("--class <class>", "only faults of a class").choices(["syntax", "runtime", "logic"]))
    .option("--pattern <id>", "only faults of a kind of mistake")
    .option("--since <date>", "only those collected since a day, such as 2026-09-01", dayOf)
    .option("--until <date>", "only those collected until a day", dayOf)
    .option("--names", "with the labels of students; else they are replaced wherever they stand")
    .action(
      async ({
        format,
        out,
        course,
        names,
        ...rest
      }: {
        format: string;
        out?: string;
        course?: string;
        class?: string;
        pattern?: string;
        since?: string;
        until?: string;
        names?: boolean;
      }) => {
        const folder = await whereDataIs();
        const query = new URLSearchParams(Object.entries(rest));
        if (names) query.set("names", "yes");
        if (course) query.set("course", course);
        const asked = await askRunning(folder, `/casebook/export/${format}?${query}`);
        const bytes = asked
          ? Buffer.from(await asked.arrayBuffer())
          : await withData(folder, async (database) => {
              const [{ exportCases }, { listCourses }] = await Promise.all([
                import("../server/casebook/bundles.ts"),
                import("../server/people/courseStore.ts"),
              ]);
              const known = (await listCourses(database)).find((each) => each.key === course || each.name === course);
              if (course && !known) throw new MaterialProblem(`there is no course ${course}`);
              const filter = { ...rest, ...(known ? { course: known.key } : {}) };
              return (await exportCases(database, format, filter, names ?? false))?.bytes ?? Buffer.alloc(0);
            });
        if (out === undefined) process.stdout.write(bytes);
        else await writeFile(out, bytes);
      },
    );
}

/** Adds `bent-nail import`: the bundles of another Bent Nail. */
export function addImportCommand(program: Command): void {
  program
    .command("import")
    .description("take the cases of a bundle in that another Bent Nail has made")
    .argument("<bundle>", "the zip")
    .option("--course <name>", "the course that they are to belong to")
    .option("--json", "as JSON")
    .action(async (path: string, options: { course?: string; json?: boolean }) => {
      const bytes = Buffer.from(await readMaterial(path));
      const folder = await whereDataIs();
      const form = new FormData();
      form.set("bundle", new Blob([bytes]), "cases.zip");
      if (options.course) form.set("course", options.course);
      const asked = await askRunning(folder, "/api/import", { method: "POST", body: form });
      const imported: Imported = asked
        ? await asked.json()
        : await withData(folder, async (database) => {
            const [{ unpackBundle }, { importBundle }, { listCourses }] = await Promise.all([
              import("../server/casebook/bundles.ts"),
              import("../server/casebook/importBundle.ts"),
              import("../server/people/courseStore.ts"),
            ]);
            const courses = await listCourses(database);
            const course = courses.find((each) => each.key === options.course || each.name === options.course);
            if (options.course && !course) throw new MaterialProblem(`there is no course ${options.course}`);
            const unpacked = await unpackBundle(bytes);
            if (!unpacked.ok) throw new MaterialProblem(unpacked.message);
            const taken = await importBundle(database, unpacked.files, course?.key ?? null);
            if (!taken.ok) throw new MaterialProblem(taken.message);
            return taken.imported;
          });
      process.stdout.write(
        options.json ? `${JSON.stringify(imported, null, 2)}\n` : `taken in: ${imported.cases.length} cases\n`,
      );
    });
}
