import { classSet } from "../demo/classSet/classSet.ts";
import { findCollection } from "../server/collect/collectionStore.ts";
import { keepCollection } from "../server/collect/collections.ts";
import { judgingProgress, startJudging } from "../server/collect/judging.ts";
import { takeSet } from "../server/collect/takeSet.ts";
import { findSearch } from "../server/mend/searchStore.ts";
import { addCourse, addStudents } from "../server/people/courseStore.ts";
import { openTestServices } from "../server/testServices.ts";
import type { Measure } from "./measure.ts";

/** The longest that a teacher is to wait for the last proposal of a class. */
const longest = 120;

/** The demo's class set, from its zip to the last proposal; nothing was worked out before. */
export async function benchProposals(): Promise<Measure[]> {
  const services = await openTestServices({ searchesSets: true });
  try {
    const set = await classSet(services.toolchains);
    const course = await addCourse(services.database, "bench", "python");
    const labels = Array.from({ length: 24 }, (_, index) => `S-${String(index + 1).padStart(2, "0")}`);
    await addStudents(services.database, course, labels);
    const begun = performance.now();
    const taken = await takeSet(services.database, course, set);
    const collection = taken.ok ? await findCollection(services.database, taken.key) : null;
    const cases = collection && (await keepCollection(services.database, collection));
    if (!collection || !cases) throw new Error("the set was not taken");
    await startJudging(services, collection.key, cases);
    let judged = 0;
    const watch = setInterval(async () => {
      if (judged === 0 && (await judgingProgress(services, collection.key))?.state === "done")
        judged = performance.now();
    }, 500);
    await services.queue.settled();
    clearInterval(watch);
    const seconds = (performance.now() - begun) / 1000;
    const rows = await services.database.query(
      "select current_version as version from faulty_case where key in (select jsonb_array_elements_text($1::jsonb))",
      [JSON.stringify(cases)],
    );
    const searches = await Promise.all(
      rows.map((row) => findSearch(services.database, String((row as { version: string }).version))),
    );
    const found = searches.filter((each) => (each?.fixes.length ?? 0) > 0).length;
    const looked = searches.filter((each) => (each?.tried ?? 0) > 0);
    console.log(
      `  ${cases.length} programs, judged after ${((judged - begun) / 1000).toFixed(0)} s, looked at ${looked.length}, ${found} with a whole mending; ${looked.reduce((sum, each) => sum + (each?.seconds ?? 0), 0).toFixed(0)} s of searching`,
    );
    return [
      {
        work: `zip of ${cases.length} programs to the last proposal, ${seconds.toFixed(0)} s`,
        against: `${longest} s`,
        value: seconds / longest,
        unit: "x",
        atMost: 1,
      },
    ];
  } finally {
    await services.close();
  }
}
