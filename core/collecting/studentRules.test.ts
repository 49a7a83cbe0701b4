import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { chooseRule, sameLabel, sharedFolder, studentRules } from "./studentRules.ts";

const found = (id: string, path: string) => studentRules.find((rule) => rule.id === id)?.find(path);

test.each<[string, string, string | null]>([
  ["outer folder", "k07/task/fares.py", "k07"],
  ["outer folder", "fares.py", null],
  ["inner folder", "task/k07/fares.py", "k07"],
  ["folder beginning", "Tern K_114_file/fares.py", "Tern K"],
  ["folder beginning", "_114/fares.py", null],
  ["name beginning", "k07_fares.py", "k07"],
  ["name beginning", "k07 fares.py", "k07"],
  ["name beginning", "_fares.py", null],
  ["name beginning", "fares.py", null],
  ["name ending", "task/fares_deck_k07.py", "k07"],
  ["name ending", "fares_.py", null],
  ["whole name", "set/k07.py", "k07"],
  ["whole name", "set/k07.tar.gz", "k07.tar"],
  ["whole name", "set/.hidden", null],
  ["nobody", "k07/k07_fares.py", null],
])("%s of %s", (id, path, label) => {
  expect(found(id, path)).toBe(label);
});

test("no rule finds an empty label, whatever a file is called", () => {
  const part = fc.string({ unit: fc.constantFrom("k", "7", "_", " ", ".", "-", "é"), minLength: 1, maxLength: 6 });
  fc.assert(
    fc.property(fc.array(part, { minLength: 1, maxLength: 4 }), (all) => {
      for (const rule of studentRules) expect(rule.find(all.join("/")), rule.id).not.toBe("");
    }),
  );
});

describe("labels that are one", () => {
  test.each([
    ["K 07", "k7"],
    ["k_07", "K-7"],
    ["Tern, Ada", "tern ada"],
    ["ADA  TERN", "ada.tern"],
    ["k100", "K 100"],
    ["k007", "k7"],
    ["Zoe\u0308 K", "Zoë K"],
    ["(Ivo)", "ivo"],
  ])("%s is %s", (one, other) => {
    expect(sameLabel(one)).toBe(sameLabel(other));
  });

  test.each([
    ["k7", "k70"],
    ["k10", "k1 0"],
    ["ada", "adah"],
    ["Zoë", "Zoe"],
    ["7", "70"],
  ])("%s is not %s", (one, other) => {
    expect(sameLabel(one)).not.toBe(sameLabel(other));
  });

  test("what is one label stays it, however often it is asked", () => {
    fc.assert(
      fc.property(fc.string({ unit: "grapheme", maxLength: 20 }), (label) => {
        expect(sameLabel(sameLabel(label))).toBe(sameLabel(label));
        expect(sameLabel(` ${label}_`)).toBe(sameLabel(label));
        expect(sameLabel(label.normalize("NFD"))).toBe(sameLabel(label.normalize("NFC")));
      }),
    );
  });
});

describe("the folder that all share", () => {
  test.each<[string[], string]>([
    [["set/k07/fares.py", "set/k08/fares.py"], "set/"],
    [["set/k07/fares.py", "set/k07/tide.py"], "set/k07/"],
    [["set1/fares.py", "set12/fares.py"], ""],
    [["fares.py", "set/fares.py"], ""],
    [["set/fares.py"], "set/"],
    [[], ""],
  ])("of %j is %j", (paths, shared) => {
    expect(sharedFolder(paths)).toBe(shared);
  });

  test("is one that every path begins with, and no deeper one is", () => {
    const path = fc.array(fc.constantFrom("set", "k07", "k", "a"), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(fc.array(path, { minLength: 1, maxLength: 5 }), (all) => {
        const paths = all.map((parts) => parts.join("/"));
        const shared = sharedFolder(paths);
        expect(shared === "" || shared.endsWith("/")).toBe(true);
        expect(paths.every((each) => each.startsWith(shared))).toBe(true);
        const next = paths[0]?.slice(shared.length).split("/") ?? [];
        if (next.length > 1) expect(paths.every((each) => each.startsWith(`${shared}${next[0]}/`))).toBe(false);
      }),
    );
  });
});

describe("the rule of a set", () => {
  const labels = ["K 07", "K 08", "K 09"];
  test.each<[string, string[], string[]]>([
    ["outer folder", ["set/k07/fares.py", "set/k08/fares.py"], labels],
    ["name beginning", ["set/k07_fares.py", "set/k08_fares.py"], labels],
    ["name ending", ["fares_k07.py", "fares_k08.py"], labels],
    ["whole name", ["k07.py", "k08.py"], labels],
    ["inner folder", ["set/a/k07/fares.py", "set/b/k08/fares.py"], labels],
    ["folder beginning", ["k07_1_file/fares.py", "k08_2_file/fares.py"], labels],
    ["outer folder", ["ada/fares.py", "ivo/fares.py"], []],
    ["name beginning", ["ada_fares.py", "ivo_fares.py", "notes.py"], []],
    ["nobody", ["fares.py", "tide.py"], []],
    ["nobody", ["set/fares.py", "tide.py"], labels],
  ])("%s for %j", (id, paths, known) => {
    expect(chooseRule(paths, known).id).toBe(id);
  });
});
