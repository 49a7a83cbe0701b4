import fc from "fast-check";
import { afterAll, beforeAll, expect, test } from "vitest";
import { keepAnswer } from "../../server/sittings/answerStore.ts";
import { beginSitting, findSitting, handIn, listAnswers } from "../../server/sittings/sittingStore.ts";
import { sheetToSit } from "../../server/sittings/testSheet.ts";
import { openTestServices } from "../../server/testServices.ts";
import type { Draft, Keep } from "./keep.ts";
import { createOutbox, type Outbox, type OutboxState, type TabMessage } from "./outbox.ts";
import type { SaveReply } from "./replies.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
let edition = "";
let student = "";
beforeAll(async () => {
  services = await openTestServices();
  const sheet = await sheetToSit(services.database);
  edition = sheet.edition;
  student = sheet.students[0]?.key ?? "";
});
afterAll(() => services.close());

/** What happens to a request on its way: it arrives; it is lost; its answer is lost. */
type Way = "arrives" | "lost" | "answer lost";

/** A browser with one database for its pages, over a network that does what it is told, and the real store behind it. */
async function browser() {
  await services.database.query("delete from sitting where student = $1", [student]);
  const sitting = await beginSitting(services.database, edition, student);
  const drafts = new Map<string, Draft>();
  const keep: Keep = {
    put: async (task, draft) => {
      drafts.set(task, draft);
      return true;
    },
    drop: async (task, { writer, count }) => {
      const kept = drafts.get(task);
      if (kept && kept.writer === writer && kept.count <= count) drafts.delete(task);
    },
    all: async () => new Map(drafts),
  };
  const ways: Way[] = [];
  const pages: Array<{ outbox: Outbox; state: () => OutboxState; hear: Outbox["hear"]; leave: () => void }> = [];
  let moment = 0;
  const send = async (task: string, draft: Draft): Promise<SaveReply> => {
    if (draft.content === "half") {
      const { handed_in_at } = (await findSitting(services.database, sitting)) ?? { handed_in_at: null };
      return handed_in_at === null
        ? { result: "incomplete", message: "not whole" }
        : { result: "refused", message: "was not whole" };
    }
    const way = ways.shift() ?? "arrives";
    if (way === "lost") throw new Error("not reached");
    const kept = await keepAnswer(services.database, sitting, task, { ...draft, typedAt: new Date(draft.typedAt) });
    if (way === "answer lost") throw new Error("not reached");
    return kept.result === "handed in" ? { result: "late", message: "late" } : kept;
  };
  const stored = async () =>
    Object.fromEntries((await listAnswers(services.database, sitting)).map((each) => [each.task, each]));
  const openPage = async () => {
    const initial = await stored();
    const own = pages.length;
    let left = false;
    let state: OutboxState = {
      answers: Object.fromEntries(Object.entries(initial).map(([task, { content }]) => [task, content])),
      save: { state: "saved", message: "", at: null },
      clashes: {},
    };
    const outbox = createOutbox(initial, {
      writer: `page ${own}`,
      send,
      keep,
      tell: (message: TabMessage) => {
        for (const [at, page] of pages.entries()) if (at !== own) page.hear(structuredClone(message));
      },
      changed: (next) => {
        state = next;
      },
      now: () => {
        moment += 1;
        return moment;
      },
      chance: () => 0.5,
      // Nothing happens by itself here: every send is asked for.
      after: () => () => undefined,
    });
    pages.push({
      ...{ outbox, state: () => state },
      hear: (message) => left || outbox.hear(message),
      leave: () => {
        left = true;
      },
    });
    await outbox.begin();
    return pages.at(-1) as (typeof pages)[number];
  };
  return { sitting, ways, drafts, openPage, stored, keep };
}

test("what is typed is sent, in order and once, and is forgotten in the browser when the server has it", async () => {
  const { openPage, stored, drafts } = await browser();
  const page = await openPage();
  page.outbox.change("point", { lines: [3] });
  page.outbox.change("mend", { text: "deck = 7\n" });
  expect(page.state().save.state).toBe("saving");
  expect([...drafts.keys()]).toEqual(["point", "mend"]);
  await page.outbox.flush();
  expect(page.state().save).toMatchObject({ state: "saved", at: expect.any(Number) });
  expect(drafts.size).toBe(0);
  expect(await stored()).toMatchObject({
    point: { revision: 1 },
    mend: { revision: 1, content: { text: "deck = 7\n" } },
  });
});

test("without a connection it is kept, said so, and sent by itself later; a lost answer makes nothing twice", async () => {
  const { openPage, stored, drafts, ways } = await browser();
  const page = await openPage();
  ways.push("lost", "answer lost");
  page.outbox.change("mend", { text: "one" });
  await page.outbox.flush();
  expect(page.state().save).toMatchObject({
    state: "waiting",
    message: expect.stringContaining("kept in this browser"),
  });
  expect(drafts.size).toBe(1);
  await page.outbox.flush();
  expect((await stored()).mend?.revision).toBe(1);
  page.outbox.change("mend", { text: "two" });
  await page.outbox.flush();
  expect([page.state().save.state, drafts.size]).toEqual(["saved", 0]);
  expect((await stored()).mend).toMatchObject({ revision: 2, content: { text: "two" } });
});

test("a page that was left offline is taken up by the next one, which may go on typing", async () => {
  const { openPage, stored, ways } = await browser();
  const before = await openPage();
  ways.push("answer lost");
  before.outbox.change("mend", { text: "one" });
  await before.outbox.flush();
  ways.push("lost");
  const after = await openPage();
  expect(after.state().answers.mend).toEqual({ text: "one" });
  after.outbox.change("mend", { text: "one and two" });
  await after.outbox.flush();
  await after.outbox.flush();
  expect(after.state()).toMatchObject({ save: { state: "saved" }, clashes: {} });
  expect((await stored()).mend?.content).toEqual({ text: "one and two" });
});

test("two pages of one browser agree; on two computers what stands there and what is typed are to be chosen from", async () => {
  const first = await browser();
  const [one, other] = [await first.openPage(), await first.openPage()];
  one.outbox.change("mend", { text: "a" });
  expect(other.state().answers.mend).toEqual({ text: "a" });
  other.outbox.change("mend", { text: "ab" });
  await Promise.all([one.outbox.flush(), other.outbox.flush()]);
  expect([one.state().clashes, other.state().clashes]).toEqual([{}, {}]);
  expect([one.state().save.state, other.state().save.state]).toEqual(["saved", "saved"]);
  expect([one.state().answers.mend, (await first.stored()).mend?.content]).toEqual([{ text: "ab" }, { text: "ab" }]);

  // Another computer, which hears nothing of the first one.
  const base = (await first.stored()).mend?.revision ?? 0;
  await keepAnswer(services.database, first.sitting, "mend", {
    ...{ content: { text: "elsewhere" }, base, writer: "another", count: 1, typedAt: null },
  });
  one.outbox.change("mend", { text: "abc" });
  await one.outbox.flush();
  expect(one.state().clashes.mend).toMatchObject({ content: { text: "elsewhere" }, revision: base + 1 });
  one.outbox.change("mend", { text: "abcd" });
  expect(one.outbox.isSaved()).toBe(false);
  await one.outbox.choose("mend", "mine");
  expect(one.state().clashes).toEqual({});
  expect((await first.stored()).mend?.content).toEqual({ text: "abcd" });
});

test("a page that opens while another one types never falls back to what that one had kept a moment before", async () => {
  const { openPage, stored, ways, keep } = await browser();
  const one = await openPage();
  ways.push("lost");
  one.outbox.change("mend", { text: "# fir" });
  await one.outbox.flush();
  // The new page reads what is kept, and hears of newer typing before that is there.
  const { all } = keep;
  const early = await all();
  keep.all = async () => {
    one.outbox.change("mend", { text: "# first" });
    return early;
  };
  const other = await openPage();
  expect(other.state().answers.mend).toEqual({ text: "# first" });
  // And where it has taken up what is older by more than one step, the page that types knows more of it.
  keep.all = async () => early;
  const third = await openPage();
  one.outbox.change("mend", { text: "# first ta" });
  one.outbox.change("mend", { text: "# first tab" });
  keep.all = all;
  for (const page of [other, third, one]) await page.outbox.flush();
  for (const page of [one, other, third]) expect(page.state().answers.mend).toEqual({ text: "# first tab" });
  expect((await stored()).mend?.content).toEqual({ text: "# first tab" });
});

test("what another one wrote can be taken in the place of one's own", async () => {
  const { openPage, stored, sitting, drafts } = await browser();
  const page = await openPage();
  await keepAnswer(services.database, sitting, "mend", {
    ...{ content: { text: "elsewhere" }, base: 0, writer: "another", count: 1, typedAt: null },
  });
  page.outbox.change("mend", { text: "here" });
  await page.outbox.flush();
  expect(page.state().clashes.mend?.content).toEqual({ text: "elsewhere" });
  await page.outbox.choose("mend", "theirs");
  expect(page.state()).toMatchObject({ answers: { mend: { text: "elsewhere" } }, clashes: {} });
  expect([(await stored()).mend?.revision, drafts.size, page.outbox.isSaved()]).toEqual([1, 0, true]);
});

test("half an answer is said not to be whole, stays over a reload, and is forgotten with the whole one", async () => {
  const { openPage, drafts } = await browser();
  const page = await openPage();
  page.outbox.change("reason", "half");
  await page.outbox.flush();
  expect([page.state().save.message, drafts.size]).toEqual(["not whole", 1]);
  const after = await openPage();
  expect(after.state().answers.reason).toBe("half");
  // While it is on its way the rest of it is written: nothing is said of the half any more.
  after.outbox.change("reason", "half");
  const sending = after.outbox.flush();
  after.outbox.change("reason", "whole");
  await sending;
  await after.outbox.flush();
  expect([after.state().save.state, drafts.size]).toEqual(["saved", 0]);
});

test("once a sheet is handed in nothing of it is kept in a browser that others use next", async () => {
  const { openPage, sitting, drafts } = await browser();
  const page = await openPage();
  page.outbox.change("reason", "half");
  page.outbox.change("mend", { text: "here" });
  await keepAnswer(services.database, sitting, "mend", {
    ...{ content: { text: "elsewhere" }, base: 0, writer: "another", count: 1, typedAt: null },
  });
  await page.outbox.flush();
  expect([Object.keys(page.state().clashes), drafts.size]).toEqual([["mend"], 2]);
  await handIn(services.database, sitting, "bell");
  await page.outbox.finish();
  expect([page.state().clashes, drafts.size]).toEqual([{}, 0]);
});

test("what comes after the sheet was collected is said to be late, and is not sent for ever", async () => {
  const { openPage, sitting, drafts } = await browser();
  const page = await openPage();
  await handIn(services.database, sitting, "bell");
  page.outbox.change("mend", { text: "too late" });
  await page.outbox.flush();
  expect([page.state().save, drafts.size]).toEqual([{ state: "told", message: "late", at: expect.any(Number) }, 0]);
});

test("however the network behaves and whenever a page is left: once it is there again, what was typed last is there", async () => {
  const way = fc.constantFrom<Way>("arrives", "lost", "answer lost");
  const step = fc.oneof(
    { weight: 5, arbitrary: fc.record({ does: fc.constant("type" as const), page: fc.nat(1), task: fc.nat(2) }) },
    { weight: 3, arbitrary: fc.record({ does: fc.constant("send" as const), page: fc.nat(1), ways: fc.array(way) }) },
    { weight: 1, arbitrary: fc.record({ does: fc.constant("load again" as const), page: fc.nat(1) }) },
  );
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 3, maxLength: 25 }), async (steps) => {
      const { openPage, stored, ways, drafts } = await browser();
      const pages = [await openPage(), await openPage()];
      const typed = new Map<string, string>();
      let number = 0;
      for (const each of steps) {
        const page = pages[each.page];
        if (!page) continue;
        if (each.does === "type") {
          number += 1;
          const task = `task ${each.task}`;
          typed.set(task, `text ${number}`);
          page.outbox.change(task, `text ${number}`);
        } else if (each.does === "send") {
          ways.push(...each.ways);
          await page.outbox.flush();
        } else {
          page.leave();
          pages[each.page] = await openPage();
        }
      }
      ways.length = 0;
      for (const page of [...pages, ...pages]) await page.outbox.flush();
      for (const page of pages) expect(page.state().clashes).toEqual({});
      const there = await stored();
      expect(new Map(Object.entries(there).map(([task, { content }]) => [task, content]))).toEqual(typed);
      // Nothing is counted twice: there are no more revisions than there were texts.
      expect(Object.values(there).reduce((sum, { revision }) => sum + revision, 0)).toBeLessThanOrEqual(number);
      expect(drafts.size).toBe(0);
    }),
    { numRuns: 120 },
  );
});

test("while the server is not reached each page asks at a moment of its own, two to four seconds later", async () => {
  const waits: number[] = [];
  const page = (chance: number) =>
    createOutbox(
      {},
      {
        ...{ writer: "page", tell: () => undefined, changed: () => undefined, now: () => 0, chance: () => chance },
        keep: { put: async () => true, drop: async () => undefined, all: async () => new Map() },
        send: () => Promise.reject(new Error("not reached")),
        after: (milliseconds) => {
          waits.push(milliseconds);
          return () => undefined;
        },
      },
    );
  for (const chance of [0, 0.25, 1]) {
    const own = page(chance);
    own.change("mend", { text: "deck" });
    await own.flush();
  }
  expect(waits.filter((wait) => wait >= 1000)).toEqual([2000, 2500, 4000]);
});
