import { data } from "react-router";
import { placedCharts } from "../../core/flowcharts/placedCharts.ts";
import { findCase, versionOf } from "../../server/cases/caseStore.ts";
import { languageOf } from "../../server/judge/judge.ts";
import { chartTitle } from "../case/ChartLeaf.tsx";
import { ChartView } from "../components/ChartView.tsx";
import type { Route } from "./+types/chartPage.ts";
import { PrintPage } from "./PrintPage.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Flowchart, for print" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const found = await findCase(context.services.database, params.caseKey);
  if (!found) throw data("There is no such case.", { status: 404 });
  const main = versionOf(found, found.current_version).files[0]?.text ?? "";
  const drawn = await placedCharts(languageOf(found), main);
  if (drawn.charts.length === 0) throw data(drawn.why, { status: 409 });
  return { title: found.title, ...drawn };
}

/** The flowcharts of a case on paper, one below the other. */
export default function PrintChart({ loaderData: { title, charts, why } }: Route.ComponentProps) {
  return (
    <PrintPage title={title} under="Flowchart">
      {why !== "" && <p>{why}</p>}
      {charts.map((chart) => (
        <section key={chart.name} className="keep-together grid gap-2">
          {charts.length > 1 && <h2>{chartTitle(chart.name)}</h2>}
          <ChartView chart={chart} title={`Flowchart: ${chartTitle(chart.name)}`} />
        </section>
      ))}
    </PrintPage>
  );
}
