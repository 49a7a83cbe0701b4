import { data } from "react-router";
import { findCourse, listStudents } from "../../server/people/courseStore.ts";
import type { Route } from "./+types/courseSlipsPage.ts";
import { Slips } from "./Slips.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Slips, for print" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const course = await findCourse(context.services.database, params.courseKey);
  if (!course) throw data("There is no such course.", { status: 404 });
  return {
    title: course.name,
    address: `${context.studentOrigin}/s`,
    students: await listStudents(context.services.database, course.key),
  };
}

export default function PrintCourseSlips({ loaderData }: Route.ComponentProps) {
  return <Slips {...loaderData} />;
}
