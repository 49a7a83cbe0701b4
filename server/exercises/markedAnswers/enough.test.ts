import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";

test("there are enough answers that hide a fault, and enough that are right in an unusual way", () => {
  const files = readdirSync(import.meta.dirname).filter((name) => !/^(?:enough|marked|testMarked)/.test(name));
  const text = files.map((name) => readFileSync(join(import.meta.dirname, name), "utf8")).join("\n");
  const count = (about: string) => text.split(`"${about}"`).length - 1;
  expect(count("hides")).toBeGreaterThanOrEqual(40);
  expect(count("unusual")).toBeGreaterThanOrEqual(40);
});
