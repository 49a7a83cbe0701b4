import { Form, Link } from "react-router";
import { languageName, namedLanguages } from "../../core/languages/named.ts";
import { listCourses } from "../../server/people/courseStore.ts";
import { act } from "../actions.ts";
import type { Route } from "./+types/page.ts";
import { beginCourse } from "./actions/beginCourse.ts";

export const meta: Route.MetaFunction = () => [{ title: "Courses · Bent Nail" }];

export async function loader({ context }: Route.LoaderArgs) {
  const courses = await listCourses(context.services.database);
  return {
    courses: courses.map((course) => ({ ...course, languageName: languageName(course.language) })),
    languages: namedLanguages(),
  };
}

export async function action({ request, context }: Route.ActionArgs) {
  return act([beginCourse], request, { services: context.services, who: context.who });
}

export default function Courses({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <div className="grid max-w-3xl gap-4">
      <h1>Courses</h1>
      {loaderData.courses.length === 0 ? (
        <p className="leaf p-4">
          A course is a teaching group: the students who may sit its sheets, as labels without accounts. Begin with one
          below.
        </p>
      ) : (
        <ul className="leaf divide-y divide-rule">
          {loaderData.courses.map((course) => (
            <li key={course.key} className="px-3 py-2">
              <Link className="link" to={`/courses/${course.key}`}>
                {course.name}
              </Link>{" "}
              <span className="note-small">{course.languageName}</span>
            </li>
          ))}
        </ul>
      )}
      <Form method="post" className="leaf flex flex-wrap items-end gap-3 p-3">
        <label>
          Name of a new course
          <input name="name" className="field" required />
        </label>
        <label>
          Language
          <select name="language" className="field">
            {loaderData.languages.map((language) => (
              <option key={language.id} value={language.id}>
                {language.name}
              </option>
            ))}
          </select>
        </label>
        <button className="press press-main" type="submit" name="intent" value="begin">
          Add the course
        </button>
        {actionData && <p role="alert">{actionData.message}</p>}
      </Form>
    </div>
  );
}
