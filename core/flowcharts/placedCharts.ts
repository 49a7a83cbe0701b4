import type { Language } from "../languages/language.ts";
import { layOut, mostBoxes, type PlacedChart } from "./layout.ts";

/** The charts of a program with places for everything, or in words why there are none. */
export type PlacedCharts = { charts: PlacedChart[]; why: string };

/** Charts of the last programs: the same one is asked for again and again while it is looked at. */
const most = 24;
const kept = new Map<string, Promise<PlacedCharts>>();

/** The charts of a program: its main part, then its routines. */
export function placedCharts(language: Language, program: string): Promise<PlacedCharts> {
  const { charts: chartsOf } = language;
  if (!chartsOf) return Promise.resolve({ charts: [], why: `No charts are drawn of programs in ${language.name}.` });
  const key = `${language.id} ${program}`;
  const known = kept.get(key);
  if (known) return known;
  const made = (async (): Promise<PlacedCharts> => {
    const charts = chartsOf(program);
    if (charts.length === 0)
      return { charts: [], why: "The program cannot be read as it stands, so there is nothing to draw." };
    const placed = await Promise.all(charts.map(layOut));
    const drawn = placed.filter((chart): chart is PlacedChart => chart !== null);
    const why = drawn.length < placed.length ? `A part of more than ${mostBoxes} boxes is not drawn.` : "";
    return { charts: drawn, why };
  })();
  if (kept.size >= most) kept.delete(kept.keys().next().value ?? "");
  kept.set(key, made);
  return made;
}
