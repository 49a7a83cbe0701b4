import fc from "fast-check";
import { expect, test } from "vitest";
import { createGuesses, normalName } from "./guesses.ts";

const minutes = 60_000;

test("ten wrong codes from one address slow that address down, for that label only", () => {
  const guesses = createGuesses();
  for (let tries = 0; tries < 10; tries += 1) {
    expect(guesses.refusal("10.0.0.7", "S-01")).toBeNull();
    guesses.wrong("10.0.0.7", "S-01");
  }
  expect(guesses.refusal("10.0.0.7", "S-01")).toContain("Too many wrong codes");
  expect(guesses.refusal("10.0.0.7", "S-02")).toBeNull();
  expect(guesses.refusal("10.0.0.8", "S-01")).toBeNull();
});

test("blanks, letter case and signs that look alike make no other label", () => {
  const guesses = createGuesses();
  const spellings = ["S-01", " S-01", "S-01  ", "s-01", "S-01\u00a0", "\uff33-01", "S-01\t"];
  for (let tries = 0; tries < 10; tries += 1) guesses.wrong("10.0.0.7", spellings[tries % spellings.length] ?? "");
  for (const spelling of spellings) expect(guesses.refusal("10.0.0.7", spelling)).not.toBeNull();
});

test("nobody can lock a label out: an address that did not guess is let in however many wrong codes there are", () => {
  const guesses = createGuesses();
  for (let address = 0; address < 100; address += 1)
    for (let tries = 0; tries < 9; tries += 1) guesses.wrong(`10.0.1.${address}`, "S-01");
  expect(guesses.refusal("10.0.0.8", "S-01")).toBeNull();
  // Those that did guess wait, although each of them alone stays below its own limit.
  expect(guesses.refusal("10.0.1.5", "S-01")).not.toBeNull();
});

test("one address cannot go through all labels", () => {
  const guesses = createGuesses();
  for (let label = 0; label < 100; label += 1) guesses.wrong("10.0.0.7", `S-${label}`);
  expect(guesses.refusal("10.0.0.7", "S-200")).toContain("this network");
  expect(guesses.refusal("10.0.0.8", "S-200")).toBeNull();
});

test("a right code forgives that address; the teacher sees who is slowed down and lets them in again; time forgives all", () => {
  let now = 0;
  const guesses = createGuesses({}, () => now);
  for (let tries = 0; tries < 9; tries += 1) guesses.wrong("a", "S-01");
  guesses.right("a", "S-01");
  for (let tries = 0; tries < 10; tries += 1) guesses.wrong("a", "S-01");
  expect(guesses.slowed("s-01 ")).toEqual([{ address: "a", wrong: 10, until: new Date(10 * minutes) }]);
  expect(guesses.slowed("S-02")).toEqual([]);
  guesses.lift("S-01");
  expect([guesses.slowed("S-01"), guesses.refusal("a", "S-01")]).toEqual([[], null]);
  for (let tries = 0; tries < 10; tries += 1) guesses.wrong("a", "S-01");
  now = 10 * minutes;
  expect(guesses.refusal("a", "S-01")).toBeNull();
});

test("whatever others guess, an address without a wrong code of its own is never refused", () => {
  const event = fc.record({
    address: fc.constantFrom("a", "b", "c"),
    name: fc.constantFrom("S-01", "S-02", " s-01"),
    right: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(event, { maxLength: 400 }), (events) => {
      const guesses = createGuesses();
      for (const { address, name, right } of events)
        right ? guesses.right(address, name) : guesses.wrong(address, name);
      for (const name of ["S-01", "S-02"]) expect(guesses.refusal("innocent", name)).toBeNull();
      const fresh = events.filter((each) => each.address === "a" && normalName(each.name) === "s-01");
      if (
        fresh.filter((each) => !each.right).length === 0 &&
        events.filter((each) => each.address === "a").length < 100
      )
        expect(guesses.refusal("a", "S-01")).toBeNull();
    }),
  );
});
