import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import yazl from "yazl";
import { rightPrograms, spoiltPrograms } from "../demo/classSet/programs.ts";
import { findCollection } from "../server/collect/collectionStore.ts";
import { arrangeCollection, keepCollection } from "../server/collect/collections.ts";
import { takeSet } from "../server/collect/takeSet.ts";
import { openDatabase } from "../server/database/database.ts";
import { addCourse, addStudents } from "../server/people/courseStore.ts";
import type { Measure } from "./measure.ts";
import { emptyQuery } from "./yardsticks.ts";

const programs = 300;

async function zip(): Promise<Buffer> {
  const file = new yazl.ZipFile();
  for (let number = 0; number < programs; number++) {
    const spoilt = spoiltPrograms[number % spoiltPrograms.length];
    const right = rightPrograms[spoilt?.language ?? ""];
    if (!spoilt || !right) continue;
    const folder = `class/S-${number}`;
    file.addBuffer(
      Buffer.from(right.text.replace(spoilt.from, spoilt.to).replace("Kittiwake", `Kittiwake ${number}`)),
      `${folder}/${right.name}`,
    );
    if (number % 2 === 0)
      file.addBuffer(
        Buffer.from(
          `Traceback (most recent call last):\n  File "${right.name}", line 3, in <module>\n    x\nNameError: name 'x${number}' is not defined\n`,
        ),
        `${folder}/error.txt`,
      );
  }
  file.end();
  const parts: Buffer[] = [];
  for await (const part of file.outputStream) parts.push(Buffer.from(part));
  return Buffer.concat(parts);
}

/** A zip of 300 programs in four languages, from its bytes to cases in the Tray, read and paired. */
export async function benchCollect(): Promise<Measure[]> {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
  const database = await openDatabase(join(folder, "database"));
  const course = await addCourse(database, "bench", "python");
  await addStudents(
    database,
    course,
    Array.from({ length: programs }, (_, number) => `S-${number}`),
  );
  const bytes = await zip();
  const start = performance.now();
  const taken = await takeSet(database, course, [{ path: "class.zip", bytes }]);
  const collection = taken.ok ? await findCollection(database, taken.key) : null;
  if (!collection) throw new Error("the set was not taken");
  const read = performance.now();
  const { arrangement } = await arrangeCollection(database, collection);
  const arranged = performance.now();
  const cases = await keepCollection(database, collection);
  const kept = performance.now();
  console.log(
    `  unpacked ${Math.round(read - start)} ms, arranged ${Math.round(arranged - read)} ms (${arrangement.programs.length} programs, ${arrangement.programs.reduce((sum, each) => sum + each.outputs.length, 0)} outputs paired), kept ${Math.round(kept - arranged)} ms, ${cases?.length} cases`,
  );
  const query = await emptyQuery();
  console.log(`  ${Math.round(kept - start)} ms in all; an empty query ${query.toFixed(2)} ms`);
  await database.close();
  rmSync(folder, { recursive: true, force: true });
  return [
    {
      work: "a zip of 300 programs in the Tray, read and paired",
      against: "an empty query a program",
      value: (kept - start) / (programs * query),
      unit: "x",
      atMost: 40,
    },
  ];
}
