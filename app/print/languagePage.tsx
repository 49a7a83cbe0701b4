import { data } from "react-router";
import { findLanguage } from "../../core/languages/languages.ts";
import { findPattern } from "../../core/patterns/patterns.ts";
import type { Route } from "./+types/languagePage.ts";
import { PrintPage } from "./PrintPage.tsx";

export const meta: Route.MetaFunction = () => [{ title: "A language on a page, for print" }];

const yesNo = (value: boolean) => (value ? "counts" : "does not count");

export function loader({ params }: Route.LoaderArgs) {
  const language = findLanguage(params.languageId);
  if (!language) throw data("There is no such language.", { status: 404 });
  const { name, profile, namesCheckedAt, card } = language;
  return {
    name,
    profile: [
      ["what happens to a program", profile.stages.join("; ")],
      ["names are looked up", namesCheckedAt === "run" ? "when their line is reached" : "before it starts"],
      ["blocks", profile.blocks],
      ["a statement ends with", profile.statementEnd],
      ["letter case", yesNo(profile.caseSensitive)],
      ["the first position", String(profile.firstIndex)],
      ["a variable without a value", profile.unsetValue],
      ["division of whole numbers", profile.integerDivision],
      ["what is typed in", profile.input],
      ["strictness", profile.strictness],
      ["where faults lie", profile.usualDistance],
    ] as Array<[string, string]>,
    rows: (card?.rows ?? []).map((row) => ({
      ...row,
      patternName: row.pattern ? (findPattern(row.pattern)?.name ?? "") : "",
    })),
    routines: card?.routines ?? [],
  };
}

/** A language on a page: how it reads and runs, its rules, its routines. */
export default function LanguageSheet({ loaderData: { name, profile, rows, routines } }: Route.ComponentProps) {
  return (
    <PrintPage title={name}>
      <dl className="grid grid-cols-[11rem_minmax(0,1fr)] gap-x-4 gap-y-0.5">
        {[...profile, ...rows.map(({ about, rule }): [string, string] => [about, rule])].map(([about, rule]) => (
          <div key={about} className="contents">
            <dt className="font-semibold">{about}</dt>
            <dd>{rule}</dd>
          </div>
        ))}
      </dl>
      {routines.length > 0 && (
        <section>
          <h2>Routines</h2>
          <dl>
            {routines.map(({ call, does }) => (
              <div key={call} className="keep-together">
                <dt className="inline font-mono text-[10pt]">{call}</dt> <dd className="inline">{does}</dd>
              </div>
            ))}
          </dl>
        </section>
      )}
    </PrintPage>
  );
}
