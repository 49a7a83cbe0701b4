import { data, Form } from "react-router";
import { services } from "../../server/services.ts";
import { addStudents, findCourse, listStudents, setCoursePolicy } from "../../server/stores/courses.ts";
import { formText } from "../formText.ts";
import type { Route } from "./+types/course.ts";

export const meta: Route.MetaFunction = () => [{ title: "Course · Bent Nail" }];

export async function loader({ params }: Route.LoaderArgs) {
  const course = await findCourse(services().database, params.courseKey);
  if (!course) throw data("There is no such course.", { status: 404 });
  return { course, students: await listStudents(services().database, course.key) };
}

export async function action({ params, request }: Route.ActionArgs) {
  const form = await request.formData();
  if (form.get("intent") === "policy") {
    await setCoursePolicy(services().database, params.courseKey, form.get("endless") === "runtime" ? "runtime" : "logic");
    return { message: "Kept." };
  }
  const labels = formText(form, "labels")
    .split(/[\n,;]/)
    .map((label) => label.trim())
    .filter((label) => label !== "");
  const added = await addStudents(services().database, params.courseKey, labels);
  return { message: added === labels.length ? `${added} added.` : `${added} added; ${labels.length - added} were in the course already.` };
}

export default function Course({ loaderData, actionData }: Route.ComponentProps) {
  const { course, students } = loaderData;
  return (
    <div className="grid max-w-3xl gap-4">
      <h1>{course.name}</h1>
      {students.length === 0 ? (
        <p className="leaf p-4">No students yet. A student is a label such as “S-01”, with a personal code that prints as a slip; there are no accounts.</p>
      ) : (
        <table className="leaf w-full">
          <thead>
            <tr className="border-b-2 border-rule-strong text-left">
              <th className="px-3 py-1">Label</th>
              <th className="px-3 py-1">Personal code</th>
            </tr>
          </thead>
          <tbody>
            {students.map((student) => (
              <tr key={student.key} className="border-b border-rule">
                <td className="px-3 py-1">{student.label}</td>
                <td className="px-3 py-1 font-mono">{student.personal_code}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Form method="post" className="leaf grid gap-2 p-3">
        <label>
          Labels of more students, one a line
          <textarea name="labels" className="field" rows={3} required />
        </label>
        <div>
          <button className="press press-main" type="submit" name="intent" value="students">
            Add them
          </button>
          {actionData && (
            <span role="status" className="ml-3">
              {actionData.message}
            </span>
          )}
        </div>
      </Form>
      <Form method="post" className="leaf flex flex-wrap items-end gap-3 p-3">
        <label>
          A loop without end counts as
          <select name="endless" className="field" defaultValue={course.endless_class}>
            <option value="logic">a logic error</option>
            <option value="runtime">a runtime error</option>
          </select>
        </label>
        <button className="press" type="submit" name="intent" value="policy">
          Keep
        </button>
      </Form>
    </div>
  );
}
