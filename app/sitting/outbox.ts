import type { Draft, Keep } from "./keep.ts";
import type { SaveReply } from "./replies.ts";

/** An answer as the server has it. */
export type Stored = { revision: number; content: unknown };

/**
 * How saving stands. "saved": the server has everything; "waiting": the server was not reached and is tried again; "told":
 * something has to be read by the student. `at`: since when, milliseconds since 1970.
 */
export type SaveState = { state: "saved" | "saving" | "waiting" | "told"; message: string; at: number | null };

/** What another page wrote while this one did, to choose from. */
export type Clash = { revision: number; content: unknown; savedAt: string };

export type OutboxState = {
  answers: Readonly<Record<string, unknown>>;
  save: SaveState;
  clashes: Readonly<Record<string, Clash>>;
};

/** What the pages of one browser say to one another. */
export type TabMessage =
  /** `writer`: the page that says it; `over`: what stood there before; `upon`: see Draft. */
  | { says: "typed"; writer: string; task: string; content: unknown; over: unknown; upon: readonly number[] }
  | { says: "saved"; writer: string; task: string; content: unknown; revision: number };

/** Everything that an outbox has of the world around it. */
export type OutboxWorld = {
  writer: string;
  /** Sends an answer; throws where the server is not reached. */
  send: (task: string, draft: Draft) => Promise<SaveReply>;
  keep: Keep;
  tell: (message: TabMessage) => void;
  changed: (state: OutboxState) => void;
  now: () => number;
  /** A number from 0 to 1, by chance. */
  chance: () => number;
  /** Does something after so many milliseconds; returns what stops that. */
  after: (milliseconds: number, does: () => void) => () => void;
};

/** Time without typing after which an answer is sent, in milliseconds. */
const pause = 500;

/**
 * Time between tries while the server is not reached, in milliseconds; `chance` from 0 to 1. It differs from page to page and
 * from try to try, so that a room does not fall upon a server that has only just come back.
 */
export const retryIn = (chance: number) => 2000 + 2000 * chance;

/** Marks that an answer carries at most. */
const mostMarks = 500;

/** A number that stands for an answer's content: the sum of its signs by powers of a prime, modulo 2^53. */
function markOf(content: unknown): number {
  let mark = 0n;
  for (const sign of JSON.stringify(content) ?? "")
    mark = BigInt.asUintN(53, mark * 1_000_003n + BigInt(sign.codePointAt(0) ?? 0));
  return Number(mark);
}

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

/**
 * The answers of a page: changed at once, kept in the browser until the server has them, sent in the order in which they
 * were typed, each at most once by what the server counts. Another page's writing is taken over where nothing of one's
 * own is unsent, and to be chosen from where there is.
 */
export function createOutbox(initial: Readonly<Record<string, Stored>>, world: OutboxWorld) {
  let answers: Record<string, unknown> = Object.fromEntries(
    Object.entries(initial).map(([task, { content }]) => [task, content]),
  );
  let save: SaveState = { state: "saved", message: "", at: null };
  let clashes: Record<string, Clash> = {};
  const revisions = new Map(Object.entries(initial).map(([task, { revision }]) => [task, revision]));
  /** Marks of what the answer to a task was written upon, since the server was last known to have it. */
  const upon = new Map<string, readonly number[]>();
  const unsent = new Map<string, Draft>();
  /** Tasks of which another page has said something: what it keeps in the browser is its own to send. */
  const heard = new Set<string>();
  let count = 0;
  let stop: (() => void) | null = null;
  let busy: Promise<void> | null = null;
  let keeps = true;

  const show = (changes: Partial<OutboxState>) => {
    if (changes.answers) answers = { ...changes.answers };
    if (changes.save) save = changes.save;
    if (changes.clashes) clashes = { ...changes.clashes };
    world.changed({ answers, save, clashes });
  };

  const later = (milliseconds: number) => {
    stop?.();
    stop = world.after(milliseconds, () => void flush());
  };

  const wroteUpon = (task: string, marks: readonly number[]) =>
    void upon.set(task, [...new Set([...(upon.get(task) ?? []), ...marks])].slice(-mostMarks));

  /** Keeps an answer in the browser, and puts it among those to be sent unless there is something to choose first. */
  const lay = (task: string, content: unknown, base: number) => {
    count += 1;
    const draft = { content, base, writer: world.writer, count, typedAt: world.now(), upon: upon.get(task) ?? [] };
    // What is typed last is sent last.
    unsent.delete(task);
    if (!clashes[task]) unsent.set(task, draft);
    void world.keep.put(task, draft).then((kept) => {
      keeps = kept;
    });
  };

  const settle = (task: string, draft: Draft) => {
    if (unsent.get(task) === draft) unsent.delete(task);
    void world.keep.drop(task, draft);
  };

  /** Takes in what the server said of a draft; false where sending has to stop. */
  const hear = (task: string, draft: Draft, reply: SaveReply): boolean => {
    if (reply.result === "saved") {
      revisions.set(task, reply.revision);
      settle(task, draft);
      upon.set(task, [markOf(draft.content)]);
      const newer = unsent.get(task);
      if (newer) unsent.set(task, { ...newer, base: reply.revision });
      world.tell({ says: "saved", writer: draft.writer, task, content: draft.content, revision: reply.revision });
      return true;
    }
    if (reply.result === "newer") {
      revisions.set(task, reply.revision);
      const own = unsent.get(task) ?? draft;
      // It is what this page wrote upon, or the very same: nobody wrote anything else meanwhile.
      if (same(reply.content, own.content)) settle(task, own);
      else if ([...own.upon, ...(upon.get(task) ?? [])].includes(markOf(reply.content)))
        unsent.set(task, { ...own, base: reply.revision });
      else {
        unsent.delete(task);
        const { revision, content, savedAt } = reply;
        show({ clashes: { ...clashes, [task]: { revision, content, savedAt } } });
      }
      return true;
    }
    const told: SaveState = { state: "told", message: reply.message, at: world.now() };
    if (reply.result === "signed out") {
      show({ save: told });
      return false;
    }
    // What is not whole yet stays kept in the browser, so that a reload does not lose it.
    if (reply.result === "incomplete") {
      if (unsent.get(task) === draft) unsent.delete(task);
    } else settle(task, draft);
    show({ save: told });
    return true;
  };

  const sendAll = async () => {
    // What was said of an answer holds until a later one for the same task is there.
    const told = new Map<string, string>();
    for (let next = [...unsent][0]; next; next = [...unsent][0]) {
      const [task, draft] = next;
      if (save.state !== "told") show({ save: { state: "saving", message: "", at: null } });
      let reply: SaveReply;
      wroteUpon(task, [markOf(draft.content)]);
      try {
        reply = await world.send(task, draft);
      } catch (problem) {
        const full = problem instanceof Error && problem.message === "507";
        const why = full ? "the server has no room at the moment. Tell your teacher" : "the server is not reached";
        const where = keeps
          ? "It is kept in this browser"
          : "This browser keeps nothing, so do not close this page: it";
        const message = `Not saved yet: ${why}. ${where}${keeps ? "," : ""} and is sent as soon as that works.`;
        show({ save: { state: "waiting", message, at: world.now() } });
        later(retryIn(world.chance()));
        return;
      }
      if (!hear(task, draft, reply)) return;
      if (reply.result === "saved") told.delete(task);
      else if ("message" in reply) told.set(task, reply.message);
    }
    const [message] = told.values();
    show({
      save: message ? { state: "told", message, at: world.now() } : { state: "saved", message: "", at: world.now() },
    });
  };

  /** Sends what is not sent yet; resolves when the server has answered to all, or was not reached. */
  const flush = async (): Promise<void> => {
    stop?.();
    stop = null;
    while (busy) await busy;
    if (unsent.size === 0) return;
    busy = sendAll().finally(() => {
      busy = null;
    });
    await busy;
  };

  return {
    flush,
    /** Whether everything typed is with the server. */
    isSaved: () => unsent.size === 0 && Object.keys(clashes).length === 0,
    change: (task: string, content: unknown) => {
      const over = answers[task] ?? null;
      lay(task, content, revisions.get(task) ?? 0);
      show({
        answers: { ...answers, [task]: content },
        save: { state: "saving", message: "", at: null },
      });
      world.tell({ says: "typed", writer: world.writer, task, content, over, upon: upon.get(task) ?? [] });
      later(pause);
    },
    /** Takes up what was kept in this browser when the page was left. */
    begin: async () => {
      for (const [task, draft] of await world.keep.all()) {
        if (unsent.has(task) || heard.has(task)) continue;
        if (same(answers[task], draft.content)) {
          await world.keep.drop(task, draft);
          continue;
        }
        wroteUpon(task, [...draft.upon, markOf(draft.content)]);
        unsent.set(task, draft);
        answers = { ...answers, [task]: draft.content };
      }
      if (unsent.size === 0) return;
      show({ answers, save: { state: "saving", message: "", at: null } });
      await flush();
    },
    /**
     * Empties what this browser keeps, once the sheet is handed in: whatever is left is sent a last time, for the teacher to
     * decide about, and forgotten.
     */
    finish: async () => {
      clashes = {};
      for (const [task, draft] of await world.keep.all()) unsent.set(task, draft);
      show({ clashes });
      await flush();
    },
    /** Hears another page of this browser. */
    hear: (message: TabMessage) => {
      const { task, content } = message;
      heard.add(task);
      const own = unsent.get(task);
      // What was taken up of a page that is still there is that page's; it knows more of it.
      const isTheirs = own?.writer === message.writer;
      if (isTheirs) unsent.delete(task);
      if (message.says === "saved") {
        const known = (upon.get(task) ?? []).includes(markOf(content)) || same(own?.content, content);
        if (isTheirs) {
          revisions.set(task, Math.max(revisions.get(task) ?? 0, message.revision));
          upon.set(task, [markOf(content)]);
          const stands: SaveState = unsent.size === 0 ? { state: "saved", message: "", at: world.now() } : save;
          show({ answers: { ...answers, [task]: content }, save: stands });
          return;
        }
        if (own && !known) return;
        revisions.set(task, Math.max(revisions.get(task) ?? 0, message.revision));
        if (own && same(own.content, content)) settle(task, own);
        else if (own) unsent.set(task, { ...own, base: message.revision });
        else if (!clashes[task]) upon.set(task, [markOf(content)]);
        // What was typed here went with the other page's writing.
        if (unsent.size === 0 && save.state === "saving")
          show({ save: { state: "saved", message: "", at: world.now() } });
        return;
      }
      // What is unsent here stays, unless it was typed upon just that, and holds it.
      if (clashes[task] || (own && !isTheirs && !same(message.over, own.content))) return;
      unsent.delete(task);
      wroteUpon(task, [...message.upon, markOf(message.over), markOf(content)]);
      show({ answers: { ...answers, [task]: content } });
    },
    /** Decides between what this page holds and what another one wrote. */
    choose: async (task: string, which: "mine" | "theirs") => {
      const clash = clashes[task];
      if (!clash) return;
      const { [task]: _, ...rest } = clashes;
      clashes = rest;
      revisions.set(task, clash.revision);
      if (which === "mine") lay(task, answers[task] ?? null, clash.revision);
      else {
        const kept = (await world.keep.all()).get(task);
        if (kept) await world.keep.drop(task, kept);
      }
      show({ clashes: rest, ...(which === "theirs" ? { answers: { ...answers, [task]: clash.content } } : {}) });
      await flush();
    },
  };
}
export type Outbox = ReturnType<typeof createOutbox>;
