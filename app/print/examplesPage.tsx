import { lineTexts } from "../../core/source/lines.ts";
import { useClassWords } from "../components/marks.tsx";
import type { Route } from "./+types/examplesPage.ts";
import { PrintedProgram, PrintPage } from "./PrintPage.tsx";
import { printedSheet } from "./printedSheet.ts";

export const meta: Route.MetaFunction = () => [{ title: "Examples to class together, for print" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { head, exercises } = await printedSheet(context.services.database, params.sheetKey, request.url);
  const withKey = new URL(request.url).searchParams.get("key") === "yes";
  return {
    ...head,
    withKey,
    examples: exercises.map(({ key, title, content }) => ({
      ...{ key, title, intro: content.intro, lines: lineTexts(content.program) },
      says: content.faults[0]?.message ?? "",
      // The classes leave the server only for the teacher's copy.
      classes: withKey ? content.faults.map((fault) => fault.class) : [],
    })),
  };
}

/** The programs of a sheet, to be sorted into the kinds of error by the class together. */
export default function Examples({ loaderData: { title, course, examples, withKey, large } }: Route.ComponentProps) {
  const classWords = useClassWords();
  return (
    <PrintPage title={`Which kind of error? ${title}`} under={withKey ? `${course} · answers` : course} large={large}>
      <p className="no-print">
        <a className="link" href={withKey ? "?" : "?key=yes"}>
          {withKey ? "Without the answers" : "With the answers"}
        </a>
      </p>
      {examples.map(({ key, title: name, intro, lines, says, classes }, at) => (
        <section key={key} className="keep-together grid gap-1">
          <h2>
            {at + 1}. {name}
          </h2>
          {intro && <p>{intro}</p>}
          <PrintedProgram lines={lines} />
          {says !== "" && (
            <>
              <p>It says:</p>
              <pre className="text-[10pt] whitespace-pre-wrap">{says}</pre>
            </>
          )}
          <p>
            {withKey
              ? `It is: ${classes.map((each) => classWords(each)).join(", then ")}`
              : (["syntax", "runtime", "logic"] as const).map((each) => (
                  <span key={each}>☐ {classWords(each)}&emsp;</span>
                ))}
          </p>
        </section>
      ))}
    </PrintPage>
  );
}
