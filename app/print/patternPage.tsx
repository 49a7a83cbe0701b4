import { data } from "react-router";
import { findLanguage } from "../../core/languages/languages.ts";
import { cardOf } from "../../core/patterns/cards.ts";
import { findPattern } from "../../core/patterns/patterns.ts";
import type { Route } from "./+types/patternPage.ts";
import { PrintedProgram, PrintPage } from "./PrintPage.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Card, for print" }];

export async function loader({ params, request }: Route.LoaderArgs) {
  const pattern = findPattern(params.patternId);
  if (!pattern) throw data("There is no such kind of mistake.", { status: 404 });
  const language = new URL(request.url).searchParams.get("language");
  const example = pattern.examples.find((each) => each.language === language) ?? pattern.examples[0];
  return {
    card: cardOf(pattern),
    example: example && {
      name: findLanguage(example.language)?.name ?? "",
      faulty: example.faulty.trimEnd().split("\n"),
      right: example.right.trimEnd().split("\n"),
    },
  };
}

/** The card of a kind of mistake: short, long, and one example. */
export default function PrintPattern({ loaderData: { card, example } }: Route.ComponentProps) {
  return (
    <PrintPage title={card.title}>
      <section className="keep-together border-2 border-black p-3">
        {card.short.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </section>
      <section className="keep-together border-2 border-black p-3">
        {card.long.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </section>
      {example && (
        <section className="keep-together grid grid-cols-2 gap-3">
          <div>
            <h2>{example.name}: with the slip</h2>
            <PrintedProgram lines={example.faulty} />
          </div>
          <div>
            <h2>Mended</h2>
            <PrintedProgram lines={example.right} />
          </div>
        </section>
      )}
    </PrintPage>
  );
}
