import { afterAll, beforeAll, expect, test } from "vitest";
import { collectCase, findCase, type WholeCase } from "../cases/caseStore.ts";
import { listCases } from "../cases/listStore.ts";
import { makeExercise } from "../exercises/makeExercise.ts";
import { decideClass, markFaultyLines } from "../judge/decisions.ts";
import { byTeacher, openTestServices } from "../testServices.ts";
import { tryFix } from "./tryFix.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

async function whole(key: string): Promise<WholeCase> {
  const found = await findCase(services.database, key, "all");
  if (!found) throw new Error("no case");
  return found;
}
async function collect(text: string, expected: string, name = "deck.py", language = "python"): Promise<WholeCase> {
  const key = await collectCase(services.database, {
    ...{ language, course: null, student: null, title: "Deck", intent: "", changedLast: "" },
    files: [{ name, bytes: Buffer.from(text) }],
    ...{ input: "", expected, symptom: null },
  });
  return whole(key);
}
const mend = async (found: WholeCase, text: string) =>
  tryFix(services, found, byTeacher(await whole(found.key)), text, false);
const keyLines = async (found: WholeCase) => {
  const made = await makeExercise(services, await whole(found.key), {
    ...{ title: "Deck", intro: "", replacements: [], marks: { point: 2 } },
  });
  return made.content.faults.map((fault) => fault.faultyLines);
};

test("a comment and a neighbour touched along with the fix are kept as extras, and no key names them", async () => {
  const program = "# deck loads\ndeck = [4, 9]\ntotal = 0\nfor load in deck:\n    total = load\nprint(total)\n";
  const found = await collect(program, "13\n");
  // The comment of line 1, the neighbour of the fix in line 4 (another name), and the fix in line 5.
  const text = program.replace("# deck loads", "# loads of the deck").replace("deck = [4, 9]", "deck = [ 4, 9 ]");
  const fixed = text.replace("total = load", "total = total + load");
  expect(await mend(found, fixed)).toMatchObject({ result: "verified", extra: [1] });
  const [layer] = (await whole(found.key)).layers;
  expect(layer?.faulty_lines).toEqual([{ line: 5 }]);
  expect(layer?.fix?.filter((hunk) => !hunk.extra)).toEqual([
    { start: 5, before: ["    total = load\n"], after: ["    total = total + load\n"] },
  ]);
  expect(await keyLines(found)).toEqual([[5]]);
});

test("a line within a place that the fix does not need is none of it, in a compiled language, too", async () => {
  const program =
    '#include <stdio.h>\nint main(void)\n{\n    int low = 1\n    int high = 2;\n    printf("%d\\n", low + high);\n}\n';
  const found = await collect(program, "3\n", "tide.c", "c");
  const fixed = program.replace("low = 1\n    int high = 2;", "low = 1;\n    int high = (2);");
  await mend(found, fixed);
  expect((await whole(found.key)).layers[0]?.faulty_lines).toEqual([{ line: 4 }]);
});

test("two changes that are needed together are both kept", async () => {
  const program = "deck = 4\ncar = 3\nprint(dek + cra)\n";
  const found = await collect(program.replace("dek + cra", "deck * car"), "7\n");
  expect(await mend(found, "deck = 3\ncar = 4\nprint(deck + car)\n")).toMatchObject({ result: "verified" });
  // The sum is needed; what the two names hold is not.
  expect((await whole(found.key)).layers[0]?.faulty_lines).toEqual([{ line: 3 }]);
});

test("a try that breaks the program says so, and what the translator says", async () => {
  const program = "deck = [4, 9]\nfor load in deck:\n    print(lod)\n";
  const found = await collect(program, "4\n9\n");
  expect(await mend(found, program.replace("deck:", "deck"))).toMatchObject({
    result: "not mended",
    shows: { relation: "does not start any more", reportedLine: 2, message: "SyntaxError: expected ':'" },
  });
  expect(await mend(found, program.replace("print(lod)", "print( lod)"))).toMatchObject({
    result: "not mended",
    shows: { relation: "same error", reportedLine: 3 },
  });
});

test("the key of a later layer is what the teacher marked, not the line above an insertion", async () => {
  const program = "print('Deck'\ntotal = 0\nload = 4\nprint(total)\n";
  const found = await collect(program, "Deck\n4\n");
  await mend(found, program.replace("'Deck'", "'Deck')"));
  const second = await whole(found.key);
  // What is missing is an addition before the last line; the teacher calls that line the faulty one.
  await markFaultyLines(services, second, { ...byTeacher(second) }, [{ line: 4 }]);
  const text = "print('Deck')\ntotal = 0\nload = 4\ntotal = total + load\nprint(total)\n";
  expect(await mend(await whole(found.key), text)).toMatchObject({ result: "verified" });
  expect(await keyLines(found)).toEqual([[1], [4]]);
});

test("a mended case leaves the Tray though nobody confirmed its class, which is said to be suggested", async () => {
  const found = await collect("print('Deck'\n", "Deck\n");
  await mend(found, "print('Deck')\n");
  const tray = await listCases(services.database, { judged: false, page: 0 });
  expect(tray.rows.map((row) => row.key)).not.toContain(found.key);
  const [row] = (await listCases(services.database, { judged: true, page: 0 })).rows.filter(
    (each) => each.key === found.key,
  );
  expect(row).toMatchObject({ class: "syntax", confirmed: false });
});

test("what is refused is no error of logic; no fault and a stop on purpose are decided without a class", async () => {
  const refused = await collect("print('Deck'\n", "Deck\n");
  const logic = { class: "logic" as const, kind: null, reason: "I say so" };
  expect(await decideClass(services, refused, byTeacher(refused), logic)).toMatchObject({
    ok: false,
    message: expect.stringContaining("not a logic error"),
  });
  // A kind that the page does not send stays as it was suggested.
  const unknown = await collect("int main(void) { return deck; }\n", "", "deck.c", "c");
  await decideClass(services, unknown, byTeacher(unknown), { class: "syntax", kind: null, reason: "" });
  expect((await whole(unknown.key)).layers[0]?.decided).toMatchObject({ class: "syntax", kind: "meaning" });

  const stops = await collect("raise SystemError('the ferry is full')\n", "");
  const purpose = { outcome: "stops on purpose" as const, class: null, kind: null, reason: "" };
  expect(await decideClass(services, stops, byTeacher(stops), purpose)).toEqual({ ok: true });
  const right = await collect("print(4)\n", "4\n");
  expect(await decideClass(services, right, byTeacher(right), { ...purpose, outcome: "no fault" as const })).toEqual({
    ok: true,
  });
  const judged = (await listCases(services.database, { judged: true, page: 0 })).rows;
  const outcome = (of: WholeCase) => judged.find((row) => row.key === of.key)?.outcome;
  expect([outcome(stops), outcome(right)]).toEqual(["stops on purpose", "no fault"]);
  expect(await decideClass(services, refused, byTeacher(refused), { ...purpose, outcome: "no fault" })).toMatchObject({
    ok: false,
  });
});
