import { afterAll, beforeAll, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { inWay, languageKey, ofLanguageKey, rulesOfWay } from "../../core/languages/ways.ts";
import { collectCase, findCase } from "../cases/caseStore.ts";
import { judgeVersion, languageOf } from "../judge/judge.ts";
import { openTestServices } from "../testServices.ts";
import { addCourse, findCourse, setCourseWay } from "./courseStore.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

test("a language in a way has a key from which it is found again; others have none", () => {
  const language = findLanguage(languageKey("pseudocode", "plain names"));
  expect([language?.id, language?.way, language?.namesCheckedAt]).toEqual(["pseudocode", "plain names", "translation"]);
  expect(language && rulesOfWay(language)).toBe("names first");
  expect(ofLanguageKey("python")).toEqual({ id: "python", way: "" });
  const python = findLanguage("python");
  expect(python && inWay(python, "names")).toBe(python);
});

test("in a course that looks for names first an unknown name refuses the program; elsewhere it stops it", async () => {
  const course = await addCourse(services.database, "Pseudocode on the quay", "pseudocode");
  const key = await collectCase(services.database, {
    ...{ language: "pseudocode", course, student: null, title: "Fare", intent: "", changedLast: "" },
    files: [{ name: "fare.pseudo", bytes: Buffer.from("fare = 8\nOUTPUT faer\n") }],
    ...{ input: "", expected: "8\n", actual: "nothing", symptom: null, userActions: [], firstLine: 1 },
    ...{ onlyRead: false, source: "", errorOutput: undefined },
  });
  const judged = async () => {
    const found = await findCase(services.database, key, "all");
    const version = found?.loaded[0];
    if (!found || !version) throw new Error("no case");
    const { deciding } = await judgeVersion(services, found, version);
    return { way: languageOf(found).way, class: deciding.judgement.class, line: deciding.judgement.reportedLine };
  };
  expect(await judged()).toEqual({ way: undefined, class: "runtime", line: 2 });
  await setCourseWay(services.database, course, "pseudocode", "plain names");
  expect((await findCourse(services.database, course))?.ways).toEqual({ pseudocode: "plain names" });
  // What was kept of the run before does not answer for the other way.
  expect(await judged()).toEqual({ way: "plain names", class: "syntax", line: 2 });
  // A style in which = compares alone refuses the first line.
  await setCourseWay(services.database, course, "pseudocode", "set");
  expect(await judged()).toMatchObject({ class: "syntax", line: 1 });
  await setCourseWay(services.database, course, "pseudocode", "plain");
  expect(await judged()).toMatchObject({ class: "runtime", line: 2 });
});
