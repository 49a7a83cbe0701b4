import { afterAll, beforeAll, expect, test } from "vitest";
import { findCase } from "../../server/cases/caseStore.ts";
import { tryFix } from "../../server/mend/tryFix.ts";
import { byTeacher, openTestServices } from "../../server/testServices.ts";
import { answered, asked, provideServices, textOfPage } from "../askRoute.ts";
import * as room from "../dryRun/page.tsx";
import * as tray from "../tray/page.tsx";
import * as file from "./pictureFile.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
});
afterAll(() => services.close());

const program = "int x = 5;\nvoid draw() {\n  background(255);\n  x += 2;\n  rect(x, 9, 8, 4);\n}\n";

async function collect(form: Readonly<Record<string, string>>): Promise<string> {
  const given = { intent: "collect", program, expected: "picture rects = 2\n", actual: "one box", ...form };
  const said = await answered(tray.action(asked({}, { form: given })));
  const key = /\/cases\/(\w+)/.exec(said.location ?? "")?.[1];
  if (!key) throw new Error(JSON.stringify(said));
  return key;
}
const picture = async (caseKey: string, query: string) =>
  file.loader(asked({ caseKey }, { path: `/cases/${caseKey}/picture.svg?${query}` }));

test("a picture by its check and frame, the last one, all of them, and words where there is none", async () => {
  const key = await collect({ language: "sketch", input: "frame 4\n" });
  const check = (await findCase(services.database, key))?.checks[0]?.key ?? "";
  const third = await picture(key, `check=${check}&frame=3`);
  expect(third.headers.get("Content-Type")).toContain("image/svg+xml");
  expect(await third.text()).toContain('<rect x="11" y="9"');
  for (const frame of ["frame=99", "frame=none", ""])
    expect(await (await picture(key, `check=${check}&${frame}`)).text()).toContain('<rect x="13" y="9"');
  expect((await (await picture(key, `check=${check}&film=yes`)).text()).match(/<text /g)).toHaveLength(4);
  expect((await picture(key, "check=none")).status).toBe(404);
  expect((await picture(key, `check=${check}&version=none`)).status).toBe(404);
  expect((await picture("none", `check=${check}`)).status).toBe(404);
});

test("the picture of a version that is no more the current one", async () => {
  const key = await collect({ language: "sketch", input: "frame 4\n" });
  const before = await findCase(services.database, key);
  const check = before?.checks[0]?.key ?? "";
  const [version] = before?.versions ?? [];
  const mended = program.replace("  rect(x", "  rect(x, 30, 8, 4);\n  rect(x");
  if (!before) throw new Error("no case");
  expect((await tryFix(services, before, byTeacher(before), mended, false)).ok).toBe(true);
  const [old, now] = await Promise.all([
    picture(key, `check=${check}&version=${version?.key}`),
    picture(key, `check=${check}`),
  ]);
  expect([await old.text(), await now.text()].map((svg) => svg.includes('y="30"'))).toEqual([false, true]);
});

test("the dry run of a sketch shows the picture after as many frames as are over", async () => {
  const key = await collect({ language: "sketch", input: "frame 2\n" });
  const path = `/cases/${key}/run`;
  const data = await room.loader(asked({ caseKey: key }, { path }));
  expect(data.frameEnds).toHaveLength(2);
  expect(await textOfPage(room.default, data, path)).toContain("Before the first frame; a frame is shown");
});

test("a sketch under the ending of its students' own tool is kept under ours, and messages about it find it", async () => {
  const key = await collect({
    ...{ fileName: "ferry.pde", program: program.replace("x += 2", "x =+ y") },
    errorOutput: 'ferry.pde:4:7:4:8: The variable "y" does not exist\n',
  });
  const found = await findCase(services.database, key, "all");
  expect([found?.language, found?.loaded[0]?.files.map(({ name }) => name)]).toEqual(["sketch", ["ferry.sketch"]]);
});
