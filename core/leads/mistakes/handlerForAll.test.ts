import { expect, test } from "vitest";
import { editContext } from "../../edits/context.ts";
import { findLanguage } from "../../languages/languages.ts";
import { handlerForAll } from "./handlerForAll.ts";

function linesOf(id: string, text: string): number[] {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  if (!context) throw new Error(id);
  return handlerForAll.find(context).map(({ line }) => line);
}
const python = (head: string) => linesOf("python", `try:\n    n = int(text)\n${head}\n    n = 0\n`);
const java = (types: string) =>
  linesOf(
    "java",
    `class M {\n  void f() {\n    try {\n      g();\n    } catch (${types} e) {\n      h();\n    }\n  }\n}\n`,
  );

test.each(["except:", "except Exception:", "except BaseException:", "except Exception as problem:"])(
  "%s takes every error",
  (head) => {
    expect(python(head)).toEqual([3]);
  },
);

test.each(["except ValueError:", "except (ValueError, KeyError):", "except OwnException:"])(
  "%s takes what it names",
  (head) => {
    expect(python(head)).toEqual([]);
  },
);

test("of several handlers only the one for all is named, and what is done in any case is none", () => {
  const both =
    "try:\n    n = int(text)\nexcept ValueError:\n    n = 0\nexcept Exception:\n    n = 1\nfinally:\n    show(n)\n";
  expect(linesOf("python", both)).toEqual([5]);
  expect(linesOf("python", "try:\n    n = int(text)\nfinally:\n    show(n)\n")).toEqual([]);
});

test("in Java by the type, whole or of all that need not be declared", () => {
  expect(java("Exception")).toEqual([5]);
  expect(java("final Throwable")).toEqual([5]);
  expect(java("RuntimeException")).toEqual([5]);
  expect(java("NumberFormatException")).toEqual([]);
  expect(java("IOException | NumberFormatException")).toEqual([]);
});
