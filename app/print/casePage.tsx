import { data } from "react-router";
import { lineTexts } from "../../core/source/lines.ts";
import { className, findWording } from "../../core/wording/wordings.ts";
import { findCase, startVersion, versionOf } from "../../server/cases/caseStore.ts";
import { caseView } from "../case/caseView.ts";
import type { Route } from "./+types/casePage.ts";
import { PrintedProgram, PrintPage } from "./PrintPage.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Case, for print" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const found = await findCase(context.services.database, params.caseKey, "all");
  if (!found) throw data("There is no such case.", { status: 404 });
  const view = await caseView(context.services, found, {
    leaf: "checks",
    check: null,
    version: null,
    rows: "line",
    from: 0,
  });
  const start = startVersion(found);
  return {
    view,
    wording: found.wording,
    first: lineTexts(start ? (versionOf(found, start.key).files[0]?.text ?? "") : ""),
  };
}

export default function PrintCase({ loaderData: { view, first } }: Route.ComponentProps) {
  return (
    <PrintPage
      title={view.title}
      under={[view.language, view.studentLabel, view.courseName].filter((part) => part).join(" · ")}
    >
      {view.intent && <p>What it is for: {view.intent}</p>}
      <PrintedProgram lines={first} />
      {view.outputs[0] && (
        <section className="keep-together">
          <h2>Error output as handed in</h2>
          <pre className="text-[10pt] whitespace-pre-wrap">{view.outputs[0].text}</pre>
        </section>
      )}
      <section>
        <h2>What was found</h2>
        {view.layers.length === 0 ? (
          <ul>
            {view.verdict.reasons.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </ul>
        ) : (
          <ol className="grid gap-3">
            {view.layers.map((layer) => (
              <li key={layer.key} className="keep-together">
                <p>
                  <strong>
                    Layer {layer.position}:{" "}
                    {layer.class
                      ? className(findWording(view.wording), layer.class, layer.decided?.kind)
                      : "not decided yet"}
                  </strong>
                  {layer.message && `, ${layer.message}`}
                </p>
                <p>
                  {layer.reportedLine
                    ? `The tool named line ${layer.reportedLine}${layer.reportedFile ? ` of ${layer.reportedFile}` : ""}. `
                    : "No line was named. "}
                  {layer.faultyLines.length > 0 && `Faulty: line ${layer.faultyLines.join(", ")}.`}
                </p>
                {layer.fix?.map((hunk) => (
                  <div key={`${hunk.start} ${hunk.after.join("")}`} className="font-mono text-[10pt]">
                    {hunk.extra && <p>Changed along with it, not needed for the fix:</p>}
                    {hunk.before.map((line, index) => (
                      <p key={`before ${index}`}>
                        {hunk.start + index} <del className="whitespace-pre-wrap">{line.trimEnd()}</del>
                      </p>
                    ))}
                    {hunk.after.map((line, index) => (
                      <p key={`after ${index}`} className="pl-6 whitespace-pre-wrap">
                        {line.trimEnd()}
                      </p>
                    ))}
                  </div>
                ))}
              </li>
            ))}
          </ol>
        )}
        {view.verified && <p>Verified: all checks pass on version {view.versionNumber}.</p>}
      </section>
    </PrintPage>
  );
}
