import { data } from "react-router";
import { className, findWording } from "../../core/wording/wordings.ts";
import { services } from "../../server/services.ts";
import { findCase, startVersion } from "../../server/stores/cases.ts";
import { caseView } from "../case/caseView.ts";
import { PrintedProgram, PrintPage } from "../print/PrintPage.tsx";
import type { Route } from "./+types/printCase.ts";

export const meta: Route.MetaFunction = () => [{ title: "Case, for print" }];

export async function loader({ params }: Route.LoaderArgs) {
  const found = await findCase(services().database, params.caseKey);
  if (!found) throw data("There is no such case.", { status: 404 });
  const view = await caseView(services(), found, { leaf: "checks", check: null, version: null, rows: "line", from: 0 });
  return {
    view,
    first:
      startVersion(found)
        ?.files[0]?.text.replace(/\r?\n$/, "")
        .split(/\r\n|\n|\r/) ?? [],
  };
}

export default function PrintCase({ loaderData: { view, first } }: Route.ComponentProps) {
  return (
    <PrintPage title={view.title} under={[view.language, view.studentLabel, view.courseName].filter((part) => part).join(" · ")}>
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
                    Layer {layer.position}: {layer.class ? className(findWording(view.wording), layer.class, layer.decided?.kind) : "not decided yet"}
                  </strong>
                  {layer.message && `, ${layer.message}`}
                </p>
                <p>
                  {layer.reportedLine ? `The tool named line ${layer.reportedLine}. ` : "No line was named. "}
                  {layer.faultyLines.length > 0 && `Faulty: line ${layer.faultyLines.join(", ")}.`}
                </p>
                {layer.fix?.map((hunk) => (
                  <div key={hunk.start} className="font-mono text-[10pt]">
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
