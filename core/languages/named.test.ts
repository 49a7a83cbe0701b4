import { expect, test } from "vitest";
import { languages } from "./languages.ts";
import { languageName, namedLanguages } from "./named.ts";

test("languages are named in the order of the list, and by nothing else of them", () => {
  expect(namedLanguages().map(({ id }) => id)).toEqual(languages.map(({ id }) => id));
  for (const named of namedLanguages()) expect(Object.keys(named)).toEqual(["id", "name"]);
});

test("a name by its id, in a way of the language as well; an unknown id stands for itself", () => {
  expect(languageName("csharp")).toBe("C#");
  const withWays = languages.find(({ ways }) => ways);
  const style = withWays?.ways?.styles[0]?.id;
  expect(languageName(`${withWays?.id}:${style}`)).toBe(withWays?.name);
  expect(languageName("semaphore")).toBe("semaphore");
});
