import { redirect } from "react-router";
import * as z from "zod";
import { findLanguage } from "../../../core/languages/languages.ts";
import { addCourse } from "../../../server/people/courseStore.ts";
import { firstTeacher, type Who } from "../../../server/people/teacherStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

const schema = z.object({ name: field.text(200), language: field.text(40) });

/** Begins a course of the teacher who asks. */
export const beginCourse = defineAction<{ services: Services; who: Who }, z.output<typeof schema>>({
  intent: "begin",
  schema,
  does: async ({ services, who }, given) => {
    const name = given.name.trim();
    const language = findLanguage(given.language);
    if (name === "" || !language) return refused("A course needs a name.");
    const owner = who.role === "teacher" ? who.teacher : firstTeacher;
    return redirect(`/courses/${await addCourse(services.database, name, language.id, owner)}`);
  },
});
