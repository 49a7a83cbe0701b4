import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase, versionOf } from "../cases/caseStore.ts";
import { openTestServices } from "../testServices.ts";
import { judgeVersion } from "./judge.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

async function reasonsOf(language: string, name: string, text: string, expected: string, actual: string) {
  const key = await collectCase(services.database, {
    ...{ language, course: null, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name, bytes: Buffer.from(text) }],
    ...{ input: "", expected, actual, symptom: null },
  });
  const judged = async () => {
    const found = await findCase(services.database, key, "all");
    if (!found) throw new Error("no case");
    return (await judgeVersion(services, found, versionOf(found, found.current_version))).deciding.judgement.reasons;
  };
  const first = await judged();
  // What was found is kept with the run: the page that is opened again says the same.
  expect(await judged()).toEqual(first);
  return first.join(" ");
}

test("an output that fits only beside a file that an earlier run left is told", async () => {
  const counts =
    "import os\ntrips = 0\nif os.path.exists('trips.txt'):\n    trips = int(open('trips.txt').read())\ntrips += 1\nopen('trips.txt', 'w').write(str(trips))\nprint(trips)\n";
  expect(await reasonsOf("python", "trips.py", counts, "1\n", "2\n")).toContain(
    "only when there is left what an earlier run made (trips.txt): it was not run from an empty state",
  );
  expect(await reasonsOf("python", "trips.py", counts, "1\n", "7\n")).toContain("line 1 was “7”, here it is “1”");
  expect(await reasonsOf("python", "trips.py", counts, "2\n", "1\n")).toContain("comes out here, too");
});

test("an output that fits only with the variables of an earlier run in the session is told", async () => {
  const loads = "if exist('total', 'var') == 0\n  total = 0;\nend\ntotal = total + 5;\ndisp(total)\n";
  expect(await reasonsOf("octave", "loads.m", loads, "5\n", "10\n")).toContain("variables of the session");
});
