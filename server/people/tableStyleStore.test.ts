import { afterAll, beforeAll, expect, test } from "vitest";
import { usualStyle } from "../../core/trace/tableStyle.ts";
import { openTestServices } from "../testServices.ts";
import { addCourse } from "./courseStore.ts";
import { keepTableStyle, listTableStyles, tableStyleOf } from "./tableStyleStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

test("a course has the style that it kept last, and every style by its name", async () => {
  const { database } = services;
  const course = await addCourse(database, "Deck crew", "python");
  expect(await tableStyleOf(database, course)).toEqual(usualStyle);
  expect(await tableStyleOf(database, null)).toEqual(usualStyle);
  const paper = {
    ...usualStyle,
    name: "Paper’s “own” style",
    unchanged: "repeated" as const,
    columns: ["pass" as const],
  };
  await keepTableStyle(database, course, paper);
  await keepTableStyle(database, course, { ...usualStyle, name: "Screen" });
  expect((await tableStyleOf(database, course)).name).toBe("Screen");
  await keepTableStyle(database, course, { ...paper, texts: "plain" });
  expect(await tableStyleOf(database, course)).toEqual({ ...paper, texts: "plain" });
  expect((await listTableStyles(database, course)).map((style) => style.name)).toEqual([paper.name, "Screen"]);
  const other = await addCourse(database, "Bridge", "c");
  expect(await listTableStyles(database, other)).toEqual([]);
});
