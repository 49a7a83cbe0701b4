import { expect, test } from "vitest";
import { createLoading, type LoadingState } from "./loading.ts";

test("what is loaded is told part by part, and gone when all is there", () => {
  const told: LoadingState[] = [];
  const loading = createLoading((state) => told.push(state));
  expect(loading.now()).toBeNull();
  loading.end("nothing has begun");
  loading.begin(2);
  loading.end("deck.py");
  expect(loading.now()).toEqual({ what: "deck.py", done: 1, total: 2, failed: null });
  loading.end("tide.c");
  loading.finish();
  expect(loading.now()).toBeNull();
  expect(told.map(({ done, total }) => `${done}/${total}`)).toEqual(["0/2", "1/2", "2/2", "2/2"]);
});

test("what broke off says why and how far it came", () => {
  const loading = createLoading();
  loading.begin(3);
  loading.end("deck.py");
  loading.fail("no translator");
  expect(loading.now()).toEqual({ what: "deck.py", done: 1, total: 3, failed: "no translator" });
});
