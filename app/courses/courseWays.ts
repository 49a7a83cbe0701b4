import { languages } from "../../core/languages/languages.ts";

/** A language that can be written and read in several ways: the ways, and what a course has of them. */
export type CourseWay = {
  id: string;
  name: string;
  style: string;
  checks: readonly string[];
  all: {
    styles: ReadonlyArray<{ id: string; name: string }>;
    checks: ReadonlyArray<{ id: string; says: string }>;
  };
};

/** The languages with several ways; `chosen`: a course's own, a style and its checks with blanks between, by the language's id. */
export function courseWays(chosen: Readonly<Record<string, string>>): CourseWay[] {
  return languages.flatMap(({ id, name, ways }) => {
    if (!ways) return [];
    const [style, ...checks] = (chosen[id] ?? "").split(" ");
    const styles = ways.styles.map((each) => ({ id: each.id, name: each.name }));
    const all = { styles, checks: ways.checks.map((each) => ({ id: each.id, says: each.says })) };
    return [{ id, name, style: style || (styles[0]?.id ?? ""), checks, all }];
  });
}
