import { data } from "react-router";
import { findLesson } from "../../server/lessons/lessonStore.ts";
import { lessonView } from "../../server/lessons/lessonView.ts";
import { partPartsOf } from "../lessons/parts/list.ts";
import type { Route } from "./+types/lessonPlanPage.ts";
import { PrintPage } from "./PrintPage.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Lesson plan, for print" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const lesson = await findLesson(database, params.lessonKey);
  if (!lesson) throw data("There is no such lesson.", { status: 404 });
  return lessonView(database, lesson, true);
}

/** The teacher's plan of a lesson: when each part begins, what it is about, and what comes of it. */
export default function LessonPlan({ loaderData: view }: Route.ComponentProps) {
  let begins = 0;
  return (
    <PrintPage title={view.title} under={`${view.course} · ${view.minutes} minutes · for the teacher`}>
      <table className="w-full border-collapse text-left">
        <thead>
          <tr>
            {["From", "Minutes", "Part", "Task"].map((each) => (
              <th key={each} scope="col" className="border border-b-2 border-black px-2">
                {each}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {view.parts.map((part) => {
            const { Plan } = partPartsOf(part.kind);
            const from = begins;
            begins += part.takes;
            return (
              <tr key={part.key} className="keep-together align-top">
                <td className="border border-black px-2">{from}</td>
                <td className="border border-black px-2">{part.takes}</td>
                <td className="border border-black px-2">
                  <strong>{part.name}</strong>
                  <div>
                    <Plan part={part} />
                  </div>
                </td>
                <td className="border border-black px-2">
                  {part.tasks === 0
                    ? ""
                    : part.tasks === 1
                      ? part.firstTask
                      : `${part.firstTask}–${part.firstTask + part.tasks - 1}`}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </PrintPage>
  );
}
