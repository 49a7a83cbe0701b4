import { afterAll, beforeAll, expect, test } from "vitest";
import { usualRules } from "../../core/sittings/sittingRules.ts";
import { handInSitting } from "../../server/marks/markingWork.ts";
import { answersToTask, decideForAll } from "../../server/marks/moderation.ts";
import { addCourse } from "../../server/people/courseStore.ts";
import { firstTeacher } from "../../server/people/teacherStore.ts";
import { addSheet, findEdition, setRules, setSheet } from "../../server/sheets/sheetStore.ts";
import { beginSitting, saveAnswer } from "../../server/sittings/sittingStore.ts";
import { sheetToSit } from "../../server/sittings/testSheet.ts";
import { openTestServices } from "../../server/testServices.ts";
import { asked, markupOf, provideServices, textOfPage } from "../askRoute.ts";
import * as schemePage from "./schemePage.tsx";
import * as sheetPage from "./sheetPage.tsx";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
  provideServices(services);
});
afterAll(async () => {
  await services.queue.settled();
  await services.close();
});

test("a sheet on paper has its parts, its time, room for the label, and comes in large print", async () => {
  const { database } = services;
  const { edition } = await sheetToSit(database);
  const content = (await findEdition(database, edition))?.content.exercises[0]?.content;
  if (!content) throw new Error("no exercise");
  const sheet = await addSheet(database, await addCourse(database, "Terns", "python"), "Two parts");
  await setRules(database, sheet, { ...usualRules, mode: "paper", minutes: 40 });
  const exercise = (key: string, section: string) => ({ key, title: `Deck ${key}`, level: 1, section, content });
  await setSheet(database, sheet, {
    title: "Two parts",
    exercises: [exercise("a", "Part A"), exercise("b", "Part A"), exercise("c", "Part B")],
  });
  const path = `/print/sheets/${sheet}`;
  const loaded = await sheetPage.loader(asked({ sheetKey: sheet }, { path }));
  const text = textOfPage(sheetPage.default, loaded, path);
  expect(text).toContain("9 marks · 40 minutes");
  expect(text).toContain("Marks: ______ of 9");
  expect(text.match(/Part [AB]/g)).toEqual(["Part A", "Part B"]);
  expect(text).toContain("There is one fault in it.");
  expect(markupOf(sheetPage.default, loaded, path)).not.toContain("paper-large");
  const large = await sheetPage.loader(asked({ sheetKey: sheet }, { path: `${path}?type=large` }));
  expect(markupOf(sheetPage.default, large, path)).toContain("paper-large");
});

test("the mark scheme names what was often wrong and what the teacher decided to be right, of the edition that was sat", async () => {
  const { database } = services;
  const { sheet, edition, students } = await sheetToSit(database, ["S-01", "S-02", "S-03"]);
  for (const [at, student] of students.entries()) {
    const key = await beginSitting(database, edition, student.key);
    await saveAnswer(database, key, "point", 1, { lines: [at < 2 ? 1 : 2] });
    await handInSitting(services, { key });
  }
  await services.queue.settled();
  const path = `/print/sheets/${sheet}/scheme`;
  const scheme = async () =>
    textOfPage(schemePage.default, await schemePage.loader(asked({ sheetKey: sheet }, { path })), path);
  expect(await scheme()).toMatch(/Given, and not all right: by 2, 0 of 1/);
  expect(await scheme()).not.toContain("S-01");

  const group = (await answersToTask(services, sheet, "point"))?.groups.find(({ labels }) => labels.length === 2);
  const decided = await decideForAll(
    services,
    { role: "teacher", teacher: firstTeacher },
    { sheet, task: "point", group: group?.key ?? "", item: "fault 1", earned: 1, reason: "it can be mended there" },
  );
  expect(decided).toEqual({ ok: true, students: 2 });
  expect(await scheme()).toMatch(/Also right, as you decided: by 2, 1 of 1/);
  expect(await scheme()).not.toContain("Given, and");

  // Of a newer edition, which nobody has sat, nothing is told.
  const content = (await findEdition(database, edition))?.content;
  if (content) await setSheet(database, sheet, content);
  expect(await scheme()).not.toContain("Also right");
  const first = await schemePage.loader(asked({ sheetKey: sheet }, { path: `${path}?edition=1` }));
  expect(textOfPage(schemePage.default, first, path)).toContain("Also right, as you decided");
});
