import { Link, useNavigate, useSearchParams } from "react-router";
import { findWording, inCourseWords } from "../../core/wording/wordings.ts";
import { type AnswerRow, questions } from "../../server/casebook/questions.ts";
import { filterChoices, filterOf } from "../../server/cases/filterChoices.ts";
import { CaseFilters } from "../components/CaseFilters.tsx";
import type { Route } from "./+types/questionsPage.ts";
import { AnswerChart } from "./AnswerChart.tsx";
import { CasebookTabs } from "./CasebookTabs.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Questions · Casebook · Bent Nail" }];

export async function loader({ request, context }: Route.LoaderArgs) {
  const query = new URL(request.url).searchParams;
  const asked = questions.find(({ id }) => id === query.get("ask")) ?? questions[0];
  if (!asked) throw new Error("no questions");
  const filter = filterOf(query);
  const { database } = context.services;
  const [answer, choices] = await Promise.all([asked.answer(database, filter), filterChoices(database)]);
  return {
    ...{ filter, choices, answer },
    asked: { id: asked.id, asks: asked.asks },
    questions: questions.map(({ id, asks }) => ({ id, asks })),
  };
}

/** The address of the cases behind a row, as far as they are narrowed already. */
function casesOf(row: AnswerRow, filter: Record<string, string | undefined>): string | null {
  if (row.filter === null) return null;
  const all = Object.entries({ ...filter, ...row.filter }).flatMap(([name, value]) => (value ? [[name, value]] : []));
  return `/casebook?${new URLSearchParams(all)}`;
}

export default function Questions({ loaderData }: Route.ComponentProps) {
  const { filter, choices, answer, asked, questions: all } = loaderData;
  const [query] = useSearchParams();
  const navigate = useNavigate();
  const wording = findWording(choices.courses.find(({ key }) => key === filter.course)?.wording);
  const words = (text: string | number) => (typeof text === "string" ? inCourseWords(wording, text) : text);
  const shown = {
    ...answer,
    columns: answer.columns.map((each) => inCourseWords(wording, each)),
    rows: answer.rows.map((row) => ({ ...row, cells: row.cells.map(words) })),
  };
  /** A column of numbers, or of shares. */
  const isNumber = (at: number) =>
    at > 0 && shown.rows.every(({ cells }) => /^$|^\d+(?:\.\d+)?(?: %)?$/.test(String(cells[at])));
  const asking = (ask: string) =>
    `?${new URLSearchParams([...[...query].filter(([name]) => name !== "ask"), ["ask", ask]])}`;
  return (
    <>
      <h1>Casebook</h1>
      <CasebookTabs />
      <CaseFilters filter={filter} choices={choices} withState keep={{ ask: asked.id }} />
      <div className="grid items-start gap-5 lg:grid-cols-[17rem_minmax(0,1fr)]">
        <nav aria-label="Questions" className="leaf grid">
          {all.map(({ id, asks }) => (
            <Link
              key={id}
              to={asking(id)}
              aria-current={id === asked.id ? "page" : undefined}
              className={`border-b border-rule px-3 py-2 font-semibold ${id === asked.id ? "bg-sheet" : "text-steel-deep hover:bg-slip"}`}
            >
              {asks}
            </Link>
          ))}
        </nav>
        <section aria-label={asked.asks}>
          <h2 className="mb-2">{asked.asks}</h2>
          {answer.rows.length === 0 ? (
            <p className="leaf p-5">
              Nothing is known of this yet: no case fits. Collect programs, judge some, or show all.
            </p>
          ) : (
            <>
              <AnswerChart
                answer={shown}
                asks={asked.asks}
                onPress={(at) => {
                  const row = answer.rows[at];
                  const address = row && casesOf(row, filter);
                  if (address) void navigate(address);
                }}
              />
              <div className="overflow-x-auto" tabIndex={0}>
                <table className="leaf w-full">
                  <thead>
                    <tr className="border-b-2 border-rule-strong text-left">
                      {shown.columns.map((column, at) => (
                        <th key={column} scope="col" className={`px-3 py-1.5 ${isNumber(at) ? "text-right" : ""}`}>
                          {column}
                        </th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {shown.rows.map((row) => {
                      const address = casesOf(row, filter);
                      return (
                        <tr key={JSON.stringify([row.cells.slice(0, 2), row.filter])} className="border-b border-rule">
                          {row.cells.map((cell, at) => (
                            <td key={`${at} ${cell}`} className={`px-3 py-1 ${isNumber(at) ? "text-right" : ""}`}>
                              {at === 0 && address ? (
                                <Link className="link" to={address}>
                                  {cell}
                                </Link>
                              ) : (
                                cell
                              )}
                            </td>
                          ))}
                        </tr>
                      );
                    })}
                  </tbody>
                </table>
              </div>
              <p className="note-small mt-2">
                {inCourseWords(wording, answer.note)}{" "}
                <a className="link" href={`/casebook/answer.csv${asking(asked.id)}`} download>
                  As CSV
                </a>
              </p>
            </>
          )}
        </section>
      </div>
    </>
  );
}
