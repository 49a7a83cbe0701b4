import { redirect } from "react-router";
import * as z from "zod";
import { findLanguage } from "../../../core/languages/languages.ts";
import { rowPolicies, tableStyleSchema } from "../../../core/trace/tableStyle.ts";
import { courseChoices, courseTerms } from "../../../core/wording/choices.ts";
import { findWording, wordings, writeWording } from "../../../core/wording/wordings.ts";
import { insertAssignment } from "../../../server/assignments/assignmentStore.ts";
import { takeAssignment } from "../../../server/classwork/exchange.ts";
import { readUpload } from "../../../server/collect/readUpload.ts";
import { type ClassList, readClassList } from "../../../server/people/classList.ts";
import { addListed, findCourse, setCoursePolicy, setCourseWay } from "../../../server/people/courseStore.ts";
import { codeGuesses, labelOfCourse } from "../../../server/people/guesses.ts";
import { keepTableStyle, listTableStyles } from "../../../server/people/tableStyleStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, done, refused, type Said } from "../../actions.ts";
import { entriesOfFiles } from "../../collect/entriesOfForm.ts";
import { field } from "../../forms.ts";

/** What an action of a course's page works on: the course's key. */
type CourseContext = { services: Services; course: string };

function courseAction<Fields>(
  intent: string,
  schema: z.ZodType<Fields>,
  does: (context: CourseContext, fields: Fields) => Promise<Said>,
) {
  return defineAction<CourseContext, Fields>({ intent, schema, does });
}

const policySchema = z.object({
  wording: field.text(40),
  endless: field.one(["logic", "runtime"]),
  depth: field.one(["short", "full"]),
});

/** How the course speaks and decides. */
const policy = courseAction("policy", policySchema, async ({ services, course }, given) => {
  const wording = wordings.find((each) => each.id === given.wording);
  if (!wording) return refused("These names of the classes are not known here. Nothing was changed.");
  const chosen = findWording((await findCourse(services.database, course))?.wording).chosen;
  await setCoursePolicy(services.database, course, {
    endlessClass: given.endless,
    wording: writeWording(wording.id, chosen ?? { terms: {}, choices: {} }),
    depth: given.depth,
  });
  return done("Kept.");
});

/** A term or choice of the form: its field's name, and what was said. */
const named = (prefix: string, ids: readonly string[]) =>
  z.object(Object.fromEntries(ids.map((id) => [`${prefix} ${id}`, field.text(80)])));
const choicesSchema = named(
  "term",
  courseTerms.map(({ id }) => id),
).and(
  named(
    "choice",
    courseChoices.map(({ id }) => id),
  ),
);

/** The words that the course has for terms, and where it stands in what courses differ. */
const choices = courseAction("choices", choicesSchema, async ({ services, course }, given) => {
  const found = await findCourse(services.database, course);
  if (!found) return refused("This course is not there any more.");
  const of = (prefix: string) =>
    Object.fromEntries(
      Object.entries(given).flatMap(([name, value]) =>
        name.startsWith(`${prefix} `) ? [[name.slice(prefix.length + 1), value.trim()]] : [],
      ),
    );
  const wording = writeWording(findWording(found.wording).id, { terms: of("term"), choices: of("choice") });
  await setCoursePolicy(services.database, course, { endlessClass: found.endless_class, wording, depth: found.depth });
  return done("Kept. Teacher and students see it; what is stored stays the same.");
});

/** In which way the course has a language that can be written and read in several. */
const way = courseAction(
  "way",
  z.object({ language: field.text(40), style: field.text(40), checks: field.list() }),
  async ({ services, course }, given) => {
    const ways = findLanguage(given.language)?.ways;
    const style = ways?.styles.find(({ id }) => id === given.style);
    const checks = ways?.checks.filter(({ id }) => given.checks.includes(id)) ?? [];
    if (!style || !(await findCourse(services.database, course)))
      return refused("This way of the language is not known here. Nothing was changed.");
    const written = [style.id, ...checks.map(({ id }) => id)].join(" ");
    await setCourseWay(services.database, course, given.language, written);
    return done("Kept. Programs of this course are read and run so from now on.");
  },
);

/** How the course writes trace tables, kept by a name. */
const tableStyle = courseAction(
  "table style",
  z.object({
    name: field.text(60),
    rows: field.one(rowPolicies),
    unchanged: field.one(["blank", "repeated"]),
    texts: field.one(["quoted", "plain"]),
    truth: field.one(["as written", "plain"]),
    objects: field.one(["named", "whole"]),
    notation: field.one(["free", "counts"]),
    columns: field.list(),
  }),
  async ({ services, course }, given) => {
    const read = tableStyleSchema.safeParse(given);
    if (!read.success)
      return refused(given.name.trim() === "" ? "A table style needs a name. Nothing was changed." : unreadStyle);
    if (!(await findCourse(services.database, course))) return refused("This course is not there any more.");
    await keepTableStyle(services.database, course, read.data);
    return done(`Tables of this course are written in the style “${read.data.name}”.`);
  },
);
const unreadStyle = "This table style could not be read. Nothing was changed.";

/** Goes back to a style that was kept by a name before. */
const useTableStyle = courseAction(
  "use style",
  z.object({ name: field.text(60) }),
  async ({ services, course }, given) => {
    const styles = await listTableStyles(services.database, course);
    const found = styles.find((style) => style.name === given.name);
    if (!found) return refused(`There is no table style “${given.name}” in this course.`);
    await keepTableStyle(services.database, course, found);
    return done(`Tables of this course are written in the style “${found.name}”.`);
  },
);

/** Lets a label try its code again. */
const letIn = courseAction("let in", z.object({ label: field.text(200) }), async ({ course }, { label }) => {
  codeGuesses.lift(labelOfCourse(course, label));
  return done(`${label} can try again.`);
});

/** Begins an assignment and goes to it. */
const beginAssignment = courseAction(
  "begin assignment",
  z.object({ title: field.text(200) }),
  async ({ services, course }, given) => {
    const title = given.title.trim();
    if (title === "") return refused("An assignment needs a title.");
    const found = await findCourse(services.database, course);
    if (!found) return refused("This course is not there any more.");
    const languages = [found.language];
    return redirect(`/assignments/${await insertAssignment(services.database.query, course, { title, languages })}`);
  },
);

/** Takes an assignment in that a file holds, and goes to it. */
const takeAssignmentIn = courseAction(
  "take assignment",
  z.object({ file: field.files() }),
  async ({ services, course }, { file }) => {
    const read = await readUpload(await entriesOfFiles(file));
    if (!read.ok) return refused(read.message);
    const title = read.assignment.title || (file[0]?.name.replace(/\.[^.]*$/, "") ?? "");
    const { key, leftOut } = await takeAssignment(services.database, course, { ...read.assignment, title });
    const left = [...read.leftOut, ...leftOut].slice(0, 12);
    return redirect(`/assignments/${key}${left.length > 0 ? `?left=${encodeURIComponent(left.join(", "))}` : ""}`);
  },
);

/** Largest class list that is taken, in bytes. */
const largestList = 1_000_000;

/** Adds students: by labels, one a line or with commas between; pasted from a spreadsheet; or from a CSV file. */
const students = courseAction(
  "students",
  z.object({ labels: field.text(100_000), list: field.files() }),
  async ({ services, course }, given) => {
    const [file] = given.list;
    if (file && file.size > largestList) return refused("This list is too long for a class. Nobody was added.");
    const text = file ? await file.text() : given.labels;
    const plain = file === undefined && !/\t|^\s*(?:label|student|name|code)\s*[,;]/i.test(text);
    const list = plain ? labelsAlone(text) : readClassList(text);
    if (!list.ok) return refused(`${list.message} Nobody was added.`);
    const added = await services.database.transaction((query) => addListed(query, course, list.students));
    const known = list.students.length - added;
    const words = known === 0 ? `${added} added.` : `${added} added; ${known} were in the course already.`;
    const left = list.leftOut.slice(0, 8).join("; ");
    return done(left === "" ? words : `${words} Left out: ${left}.`);
  },
);

/** Labels with line ends, commas or semicolons between. */
function labelsAlone(text: string): ClassList {
  const labels = text
    .split(/[\n,;]/)
    .map((label) => label.trim())
    .filter((label) => label !== "");
  const tooLong = labels.find((label) => label.length > 80);
  if (tooLong !== undefined)
    return { ok: false, message: `A label has 1 to 80 characters; this one is longer: ${tooLong}.` };
  return { ok: true, students: labels.map((label) => ({ label, code: null })), leftOut: [] };
}

/** Everything that the page of a course can be asked for. */
export const courseActions = [
  policy,
  choices,
  way,
  tableStyle,
  useTableStyle,
  letIn,
  beginAssignment,
  takeAssignmentIn,
  students,
];
