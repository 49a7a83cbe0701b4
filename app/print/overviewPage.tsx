import { data } from "react-router";
import { readLetters } from "../../core/assignments/overview.ts";
import { findAssignment } from "../../server/assignments/assignmentStore.ts";
import { overviewOf } from "../../server/classwork/overview.ts";
import { findCourse } from "../../server/people/courseStore.ts";
import { CellSign, resultWords } from "../assignment/CellSign.tsx";
import { shownOverview } from "../assignment/overviewView.ts";
import { useClassWords } from "../components/marks.tsx";
import type { Route } from "./+types/overviewPage.ts";
import { PrintPage } from "./PrintPage.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Overview, for print" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const assignment = await findAssignment(context.services.database, params.assignmentKey);
  if (!assignment) throw data("There is no such assignment.", { status: 404 });
  const course = await findCourse(context.services.database, assignment.course);
  const overview = shownOverview(await overviewOf(context.services, assignment));
  return { ...overview, title: assignment.title, course: course?.name ?? "", wording: course?.wording ?? "three" };
}

/** The overview on paper: the same signs, with what each means below. */
export default function PrintOverview({ loaderData: view }: Route.ComponentProps) {
  const classWords = useClassWords();
  const used = [...new Set(view.programs.flatMap((program) => readLetters(program.letters)))].flatMap(
    (result) => result ?? [],
  );
  return (
    <PrintPage
      title={view.title}
      under={`${view.course}: ${view.programs.length} programs, ${view.columns.length} checks`}
    >
      <table className="w-full border-collapse text-[9pt]">
        <thead>
          <tr className="border-b-2 border-black text-left">
            <th className="pr-2">Program</th>
            <th className="pr-2">Class</th>
            {view.columns.map((column, index) => (
              <th key={column.key} className="px-1 text-center">
                {column.key === "" ? "as handed in" : index + (view.columns[0]?.key === "" ? 0 : 1)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {view.programs.map((program) => (
            <tr key={program.key} className="keep-together border-b border-neutral-400">
              <td className="pr-2">{program.name}</td>
              <td className="pr-2">{program.class ? classWords(program.class) : program.state}</td>
              {readLetters(program.letters).map((result, index) => (
                <td key={view.columns[index]?.key} className="text-center">
                  {result && <CellSign result={result} />}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="mt-3 flex flex-wrap gap-x-5 text-[9pt]">
        {used.map((result) => (
          <li key={result}>
            <CellSign result={result} /> {resultWords[result]}
          </li>
        ))}
      </ul>
      <ol className="mt-2 list-decimal pl-5 text-[9pt]">
        {view.columns
          .filter((column) => column.key !== "")
          .map((column) => (
            <li key={column.key}>{[column.name, column.kind, column.purpose].filter(Boolean).join("; ")}</li>
          ))}
      </ol>
    </PrintPage>
  );
}
