import { data } from "react-router";
import { lineTexts } from "../../core/source/lines.ts";
import { className, findWording, inCourseWords } from "../../core/wording/wordings.ts";
import { findCase, startVersion, versionOf } from "../../server/cases/caseStore.ts";
import { type CaseView, caseView } from "../case/caseView.ts";
import { FieldsOfRecord } from "../case/FieldsOfRecord.tsx";
import { TriedAsWell } from "../case/TriedAsWell.tsx";
import { FormAsShown } from "../components/FormAsShown.tsx";
import { UserSteps } from "../components/UserSteps.tsx";
import type { Route } from "./+types/casePage.ts";
import { PrintedProgram, PrintPage } from "./PrintPage.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Case, for print" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const found = await findCase(context.services.database, params.caseKey, "all");
  if (!found) throw data("There is no such case.", { status: 404 });
  const view = await caseView(context.services, found, {
    record: true,
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

const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", year: "numeric", timeZone: "UTC" });

export default function PrintCase({ loaderData: { view, first } }: Route.ComponentProps) {
  const verifiedAt = view.layers.at(-1)?.verified?.at;
  return (
    <PrintPage
      title={view.title}
      under={[view.language, view.studentLabel, view.courseName].filter((part) => part).join(" · ")}
    >
      <p>
        Collected on {day.format(new Date(view.collected))}
        {view.source && `, from ${view.source}`}
        {view.textState &&
          view.versions.length === 1 &&
          `. The translator says ${view.textState === "clean" ? "nothing" : view.textState}`}
        .
      </p>
      {view.intent && <p>What it is for: {view.intent}</p>}
      {view.instead && <p>What it did instead: {view.instead}</p>}
      {view.changedLast && <p>Changed last: {view.changedLast}</p>}
      <UserSteps title="What the user did:" steps={view.userActions} />
      <PrintedProgram lines={first} />
      {view.outputs[0] && (
        <section className="keep-together">
          <h2>Error output as handed in</h2>
          <pre className="text-[10pt] whitespace-pre-wrap">{view.outputs[0].text}</pre>
        </section>
      )}
      {view.cameOut && (
        <section className="keep-together">
          <h2>What came out, by the word of who handed it in</h2>
          <pre className="text-[10pt] whitespace-pre-wrap">{view.cameOut}</pre>
        </section>
      )}
      <section>
        <h2>Checks</h2>
        <table className="w-full text-[10pt]">
          <thead>
            <tr className="border-b border-black text-left">
              <th>Check</th>
              <th>Typed in</th>
              <th>Should come out</th>
              <th>Version {view.versionNumber}</th>
            </tr>
          </thead>
          <tbody>
            {view.checks.map((check) => (
              <tr key={check.key} className="border-b border-black/30 align-top">
                <td>{check.handedIn ? "as handed in" : check.kind}</td>
                <td className="font-mono whitespace-pre-wrap">{check.input.trimEnd() || "nothing"}</td>
                <td className="font-mono whitespace-pre-wrap">
                  {check.expected === null ? "not recorded" : check.expected.trimEnd() || "nothing"}
                </td>
                <td>{check.passes === null ? "open" : check.passes ? "passes" : `fails: ${check.reason}`}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <PrintedPictures view={view} />
        <PrintedForms view={view} />
      </section>
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
                {layer.decided && layer.decided.outcome !== "fault" && <p>Decided: {layer.decided.outcome}.</p>}
                {layer.decided && layer.decided.suggested !== layer.decided.class && (
                  <p>
                    The evidence suggested{" "}
                    {layer.decided.suggested
                      ? className(findWording(view.wording), layer.decided.suggested)
                      : "no class"}
                    ; decided otherwise{layer.decided.reason && `: ${layer.decided.reason}`}
                  </p>
                )}
                <FieldsOfRecord layer={layer} wording={view.wording} />
                {layer.secondOpinion && (
                  <p>Second opinion: {inCourseWords(findWording(view.wording), layer.secondOpinion)}</p>
                )}
                {layer.explanation && <p className="whitespace-pre-wrap">{layer.explanation}</p>}
                {layer.intention && <p>The fix is meant to {layer.intention}</p>}
                <p>
                  {layer.reportedLine
                    ? `The tool named line ${layer.reportedLine}${layer.reportedFile ? ` of ${layer.reportedFile}` : ""}. `
                    : "No line was named. "}
                  {layer.faultyLines.length > 0 &&
                    `Faulty: ${layer.place === "after the line" ? "something is missing after " : ""}line ${layer.faultyLines.join(", ")}.`}
                  {layer.place === "outside" && " The fault lies outside of the program."}
                  {layer.placeReason && ` Why: ${layer.placeReason}`}
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
        <TriedAsWell view={view} />
        {view.verified && (
          <p>
            Verified: all checks pass on version {view.versionNumber}
            {verifiedAt && `, ${day.format(new Date(verifiedAt))}`}.
          </p>
        )}
      </section>
    </PrintPage>
  );
}

/** What stood on a program's forms after each check. */
function PrintedForms({ view }: { view: CaseView }) {
  return view.checks.flatMap((check, at) =>
    check.forms
      ? [
          <div key={check.key} className="keep-together mt-2">
            <FormAsShown
              shown={check.forms}
              label={`${check.handedIn ? "the check as handed in" : `check ${at + 1}`} of version ${view.versionNumber}`}
            />
          </div>,
        ]
      : [],
  );
}

/** What a sketch drew under each check, in a few frames. */
function PrintedPictures({ view }: { view: CaseView }) {
  const drawn = view.checks.flatMap((check, at) => (check.picture ? [{ check, at, picture: check.picture }] : []));
  return drawn.map(({ check, at, picture }) => (
    <figure key={check.key} className="keep-together mt-2">
      <figcaption className="text-[10pt]">
        What version {view.versionNumber} drew under {check.handedIn ? "the check as handed in" : `check ${at + 1}`}
        {picture.blank !== "" && `: nothing is seen, ${picture.blank}`}
      </figcaption>
      <div className="flex flex-wrap gap-3">
        {picture.frames.slice(-4).map((frame) => (
          <div key={frame} className="text-[9pt]">
            <img
              className="border border-black/40 object-contain"
              width={140}
              height={Math.min(160, Math.round((140 * picture.height) / picture.width))}
              src={`/cases/${view.key}/picture.svg?check=${check.key}&version=${view.version}&frame=${frame}`}
              alt={`After frame ${frame}`}
            />
            {frame === 0 ? "" : `frame ${frame}`}
          </div>
        ))}
      </div>
    </figure>
  ));
}
