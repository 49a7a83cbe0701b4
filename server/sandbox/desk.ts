import { AsyncLocalStorage } from "node:async_hooks";
import { randomUUID } from "node:crypto";
import { availableParallelism } from "node:os";

/**
 * A run that waits for its turn or is going on. `since` is when that state began, in milliseconds of the system's
 * clock; `before` is how many waiting runs come before it.
 */
export type Ticket = {
  id: string;
  person: string;
  what: string;
  state: "waits" | "runs";
  since: number;
  before: number;
};

/** A run that could not be taken; the message is for the person who asked. */
export class NotTaken extends Error {}
/** A run that somebody stopped. */
export class StoppedByHand extends Error {}

/**
 * Where all runs of this process go through. Short runs come first, and whoever has had little of the machine lately
 * comes before who has had much. A run that has gone on for `yieldAfter` is a long one; long ones never take all
 * places. One that takes a place too many while others wait gives it up and begins anew later: nothing of what it did
 * is seen. What goes on can be seen and stopped by the person in whose name it is done.
 */
export type Desk = {
  /** Does some work in a person's name; what it runs counts as that person's. */
  as: <T>(person: string, work: () => T) => T;
  /**
   * The same for work that nobody waits for before a page: it comes after everybody else's and waits as long as it
   * takes.
   */
  behind: <T>(name: string, work: () => T) => T;
  /**
   * Does a run when its turn comes. `key` names the very program and input, so that one known to be long is treated as
   * such from the start.
   */
  take: <T>(what: string, work: (signal: AbortSignal) => Promise<T>, key?: string) => Promise<T>;
  /** The runs of a person, by default of the one in whose name this is called. */
  list: (person?: string) => Ticket[];
  /** Stops a run of that person; false if there is none of that id. */
  stop: (id: string, person?: string) => boolean;
};

type Entry = {
  ticket: Omit<Ticket, "before">;
  behind: boolean;
  long: boolean;
  begin: () => void;
  giveUp: (reason: Error) => void;
  control: AbortController;
  stoppedByHand: boolean;
};

/** Time after which what a person has had of the machine counts half, in milliseconds. */
const halfLife = 30_000;
/** What each turn counts at least, in milliseconds. */
const leastUse = 100;
/** Long programs that are remembered. */
const mostKnown = 500;

/** What each person has had of the machine lately, in milliseconds, older use counting less. */
function createUse(now: () => number) {
  const kept = new Map<string, { value: number; at: number }>();
  const of = (person: string): number => {
    const found = kept.get(person);
    return found ? found.value * 2 ** ((found.at - now()) / halfLife) : 0;
  };
  return {
    of,
    add: (person: string, milliseconds: number) => {
      kept.set(person, { value: of(person) + milliseconds, at: now() });
      if (kept.size > 10_000) for (const [each] of kept) if (of(each) < 1) kept.delete(each);
    },
  };
}

/**
 * `atOnce`: runs at the same time; `mostWaiting`: of one person; `patience`: longest wait in milliseconds;
 * `yieldAfter`: after which a run is a long one, in milliseconds.
 */
export function createDesk({
  atOnce = availableParallelism() + 2,
  mostWaiting = 60,
  patience = 60_000,
  yieldAfter = 1000,
} = {}): Desk {
  const mostLong = Math.max(1, atOnce - 1);
  /** Time that a short run waits before a long one gives way to it, in milliseconds. */
  const hurry = yieldAfter / 4;
  const who = new AsyncLocalStorage<{ person: string; behind: boolean }>();
  const waiting: Entry[] = [];
  const running = new Set<Entry>();
  const use = createUse(Date.now);
  const known = new Set<string>();
  const current = () => who.getStore() ?? { person: "this machine", behind: false };

  /**
   * The waiting runs in the order of their turns: short before long, people before work behind, least use first, else
   * first come.
   */
  function inOrder(): Entry[] {
    const rank = (entry: Entry) => (entry.long ? 2 : 0) + (entry.behind ? 1 : 0);
    const uses = new Map(
      waiting.map((entry) => [entry.ticket.person, Math.round(use.of(entry.ticket.person) / leastUse)]),
    );
    const hadBy = (entry: Entry) => uses.get(entry.ticket.person) ?? 0;
    // Of one person's runs each but the first comes as if those before it had been done.
    const places = new Map<string, number>();
    const place = new Map(
      waiting.map((entry) => {
        const at = places.get(entry.ticket.person) ?? 0;
        places.set(entry.ticket.person, at + 1);
        return [entry, at] as const;
      }),
    );
    const placeOf = (entry: Entry) => place.get(entry) ?? 0;
    return [...waiting].sort(
      (one, other) => rank(one) - rank(other) || hadBy(one) + placeOf(one) - hadBy(other) - placeOf(other),
    );
  }

  const longRunning = () => [...running].filter((entry) => entry.long);

  function advance(): void {
    for (const next of inOrder()) {
      if (next.long && longRunning().length >= mostLong) continue;
      if (running.size >= atOnce) {
        // A short run does not wait long behind long ones: the latest of them gives way, down to one that is left to
        // come to its end.
        const long = longRunning();
        if (!next.long && long.length > 1 && Date.now() - next.ticket.since >= hurry) long.at(-1)?.control.abort();
        return;
      }
      waiting.splice(waiting.indexOf(next), 1);
      next.ticket.state = "runs";
      next.ticket.since = Date.now();
      running.add(next);
      next.begin();
    }
  }

  /** Waits for a turn; rejects with NotTaken or StoppedByHand. */
  function turn(entry: Entry, until: number): Promise<void> {
    return new Promise((resolve, reject) => {
      const leave = () => {
        clearTimeout(clock);
        const at = waiting.indexOf(entry);
        if (at >= 0) waiting.splice(at, 1);
      };
      entry.begin = () => {
        leave();
        resolve();
      };
      entry.giveUp = (reason) => {
        leave();
        reject(reason);
      };
      const tooLong = () =>
        entry.giveUp(
          new NotTaken(
            `This run waited ${Math.round(patience / 1000)} seconds and did not get its turn: too much is running. Try again.`,
          ),
        );
      const clock = setTimeout(tooLong, entry.behind ? 2 ** 31 - 1 : Math.max(0, until - Date.now()));
      clock.unref();
      waiting.push(entry);
      advance();
      if (!entry.long) setTimeout(advance, hurry + 1).unref();
    });
  }

  async function take<T>(what: string, work: (signal: AbortSignal) => Promise<T>, key?: string): Promise<T> {
    const { person, behind } = current();
    const mine = waiting.filter((entry) => entry.ticket.person === person).length;
    if (mine >= mostWaiting && !behind)
      throw new NotTaken(`${mine} of your runs wait already. Wait until some are done, or stop them.`);
    const ticket: Entry["ticket"] = { id: randomUUID(), person, what, state: "waits", since: Date.now() };
    const nothing = () => undefined;
    const entry: Entry = {
      ticket,
      behind,
      long: key !== undefined && known.has(key),
      begin: nothing,
      giveUp: nothing,
      control: new AbortController(),
      stoppedByHand: false,
    };
    const until = Date.now() + patience;
    for (;;) {
      await turn(entry, until);
      const began = Date.now();
      const clock = setTimeout(() => {
        entry.long = true;
        if (key !== undefined) known.add(key);
        const oldest = known.values().next().value;
        if (known.size > mostKnown && oldest !== undefined) known.delete(oldest);
        // It moves to the end of the long ones, so that the latest gives way first.
        running.delete(entry);
        running.add(entry);
        advance();
      }, yieldAfter);
      try {
        const result = await work(entry.control.signal);
        if (key !== undefined && Date.now() - began < yieldAfter) known.delete(key);
        return result;
      } catch (problem) {
        if (!entry.control.signal.aborted || entry.stoppedByHand) throw problem;
      } finally {
        clearTimeout(clock);
        use.add(person, Math.max(leastUse, Date.now() - began));
        running.delete(entry);
        advance();
      }
      // It gave way: from the start again, in its next turn.
      entry.control = new AbortController();
      ticket.state = "waits";
      ticket.since = Date.now();
    }
  }

  return {
    as: (person, work) => who.run({ person, behind: false }, work),
    behind: (name, work) => who.run({ person: name, behind: true }, work),
    take,
    list: (person = current().person) => {
      const order = inOrder();
      return [...running, ...order]
        .filter((entry) => entry.ticket.person === person)
        .map((entry) => ({ ...entry.ticket, before: Math.max(0, order.indexOf(entry)) }));
    },
    stop: (id, person = current().person) => {
      const found = [...running, ...waiting].find((entry) => entry.ticket.id === id && entry.ticket.person === person);
      if (!found) return false;
      found.stoppedByHand = true;
      if (waiting.includes(found)) found.giveUp(new StoppedByHand("stopped by hand"));
      else found.control.abort();
      return true;
    },
  };
}
