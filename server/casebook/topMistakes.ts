import { languageName } from "../../core/languages/named.ts";
import { cardOf, type PatternCard } from "../../core/patterns/cards.ts";
import { findPattern } from "../../core/patterns/patterns.ts";
import { listOwnPatterns } from "../cases/ownPatternStore.ts";
import type { CaseFilter } from "../cases/recordFilterStore.ts";
import type { Database } from "../database/database.ts";
import { listStudents } from "../people/courseStore.ts";
import { textAnonymiser } from "./anonymise.ts";
import { listPlaces, type PlaceOfFault } from "./exampleStore.ts";
import { countBy } from "./questionStore.ts";

/** Mistakes that a class is told of at once. */
const most = 5;

/** A kind of mistake of a class: how many faults, of how many students, two examples without names, and its card. */
export type TopMistake = {
  id: string;
  card: PatternCard;
  faults: number;
  students: number;
  examples: Array<PlaceOfFault & { languageName: string }>;
  /** The example that ships for the language of the first one, by its number; null where there is none. */
  shipped: number | null;
};

/** The mistakes that are made most among the cases that a filter lets through: by students, then by faults. What is no fault by itself is left out. */
export async function topMistakes(
  database: Pick<Database, "query">,
  filter: CaseFilter,
  course: string,
): Promise<TopMistake[]> {
  const { query } = database;
  const [counts, own, students] = await Promise.all([
    countBy(query, "pattern", filter),
    listOwnPatterns(query),
    listStudents(database, course),
  ]);
  const clean = textAnonymiser(students.map(({ label }) => label));
  const known = counts.flatMap(({ of, faults, students }) => {
    const pattern = of === null ? undefined : (findPattern(of) ?? own.find((each) => each.id === of));
    return pattern && (!("fault" in pattern) || pattern.fault) ? [{ pattern, faults, students }] : [];
  });
  const first = known.sort((one, other) => other.students - one.students || other.faults - one.faults).slice(0, most);
  return Promise.all(
    first.map(async ({ pattern, faults, students }) => {
      const examples = (await listPlaces(query, { ...filter, pattern: pattern.id }, 2)).map((place) => ({
        ...place,
        languageName: languageName(place.language),
        before: place.before.map(clean),
        after: place.after.map(clean),
      }));
      const language = examples[0]?.language;
      // Where no line of theirs is known, or their language has none, the first one that ships.
      const shipped = "examples" in pattern ? pattern.examples : [];
      const found = shipped.findIndex((each) => each.language === language);
      const at = found < 0 && shipped.length > 0 ? 0 : found;
      return { id: pattern.id, card: cardOf(pattern), faults, students, examples, shipped: at < 0 ? null : at };
    }),
  );
}
