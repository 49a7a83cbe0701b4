import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase, versionOf } from "../cases/caseStore.ts";
import { openTestServices } from "../testServices.ts";
import { runsTheSame } from "./sameRuns.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

const program = "cars = int(input('Cars? '))\nif cars > 3:\n    print('full')\nprint('Cars:', cars)\n";

async function compared(text: string, input = "4\n", onlyRead = false) {
  const key = await collectCase(services.database, {
    ...{ language: "python", course: null, student: null, title: "Cars", intent: "", changedLast: "", onlyRead },
    files: [{ name: "cars.py", bytes: Buffer.from(program) }],
    ...{ input, expected: "full\nCars: 4\n", symptom: null },
  });
  const found = await findCase(services.database, key, "all");
  if (!found) throw new Error("no case");
  return runsTheSame(services, found, versionOf(found, found.current_version), text);
}

test("another layout does the same, whatever lines it has", async () => {
  const other = program.replace(
    "\nif cars > 3:\n    print('full')",
    "\n\n# is there a place?\nif cars > 3: print('full')",
  );
  expect(await compared(other)).toEqual({ tried: 1, parts: null });
});

test("what prints something else, ends otherwise or leaves another file is told with what was typed in", async () => {
  expect(await compared(program.replace("> 3", "> 4"))).toMatchObject({
    parts: { input: "4\n", was: expect.stringContaining("full"), is: expect.not.stringContaining("full") },
  });
  expect(await compared(`${program}print(1 / 0)\n`)).toMatchObject({ parts: { is: expect.any(String) } });
  expect(await compared(`${program}open('log.txt', 'w').write('4')\n`)).toMatchObject({ tried: 1 });
  expect((await compared(`${program}open('log.txt', 'w').write('4')\n`)) as object).not.toMatchObject({ parts: null });
});

test("what is refused where the other one runs is a difference, too", async () => {
  expect(await compared(program.replace(":", ""))).toMatchObject({ parts: { is: expect.stringContaining("refused") } });
});
