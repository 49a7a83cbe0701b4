import { AsyncLocalStorage } from "node:async_hooks";
import { randomUUID } from "node:crypto";
import { availableParallelism } from "node:os";

/** A run that waits for its turn or is going on. `since` is when that state began, in milliseconds of the system's clock. */
export type Ticket = { id: string; person: string; what: string; state: "waits" | "runs"; since: number };

/** A run that could not be taken; the message is for the person who asked. */
export class NotTaken extends Error {}
/** A run that somebody stopped. */
export class StoppedByHand extends Error {}

/** Where all runs of this process go through: each person gets turns in rotation, nobody waits without bound, and what goes on can be seen and stopped. */
export type Desk = {
  /** Does some work in a person's name; what it runs counts as that person's. */
  as: <T>(person: string, work: () => T) => T;
  take: <T>(what: string, work: (signal: AbortSignal) => Promise<T>) => Promise<T>;
  /** The runs of a person, by default of the one in whose name this is called. */
  list: (person?: string) => Ticket[];
  /** Stops a run of that person; false if there is none of that id. */
  stop: (id: string, person?: string) => boolean;
};

type Waiting = { ticket: Ticket; control: AbortController; begin: () => void; giveUp: (reason: Error) => void };

/** `atOnce`: runs at the same time; `mostWaiting`: of one person; `patience`: longest wait in milliseconds. */
export function createDesk({ atOnce = availableParallelism() + 2, mostWaiting = 60, patience = 60_000 } = {}): Desk {
  const who = new AsyncLocalStorage<string>();
  /** People in the order of their next turn, each with what waits. */
  const queues = new Map<string, Waiting[]>();
  const running = new Map<string, Waiting>();

  const current = () => who.getStore() ?? "this machine";

  function advance(): void {
    while (running.size < atOnce) {
      const [person, queue] = queues.entries().next().value ?? [];
      const next = queue?.shift();
      if (person === undefined || !queue || !next) return;
      // Whoever had a turn goes to the end of the line.
      queues.delete(person);
      if (queue.length > 0) queues.set(person, queue);
      next.ticket.state = "runs";
      next.ticket.since = Date.now();
      running.set(next.ticket.id, next);
      next.begin();
    }
  }

  function forget(waiting: Waiting): void {
    const queue = queues.get(waiting.ticket.person);
    const at = queue?.indexOf(waiting) ?? -1;
    if (queue && at >= 0) queue.splice(at, 1);
    if (queue?.length === 0) queues.delete(waiting.ticket.person);
  }

  async function take<T>(what: string, work: (signal: AbortSignal) => Promise<T>): Promise<T> {
    const person = current();
    const queue = queues.get(person) ?? [];
    if (queue.length >= mostWaiting) throw new NotTaken(`${queue.length} of your runs wait already. Wait until some are done, or stop them.`);
    const control = new AbortController();
    const ticket: Ticket = { id: randomUUID(), person, what, state: "waits", since: Date.now() };
    const turn = new Promise<void>((resolve, reject) => {
      const waiting: Waiting = { ticket, control, begin: resolve, giveUp: reject };
      queues.set(person, [...queue, waiting]);
      const clock = setTimeout(() => {
        forget(waiting);
        reject(new NotTaken(`This run waited ${Math.round(patience / 1000)} seconds and did not get its turn: too much is running. Try again.`));
      }, patience);
      clock.unref();
      waiting.begin = () => {
        clearTimeout(clock);
        resolve();
      };
      control.signal.addEventListener("abort", () => {
        clearTimeout(clock);
        forget(waiting);
        reject(new StoppedByHand("stopped by hand"));
      });
      advance();
    });
    await turn;
    try {
      return await work(control.signal);
    } finally {
      running.delete(ticket.id);
      advance();
    }
  }

  const all = (): Waiting[] => [...running.values(), ...[...queues.values()].flat()];
  return {
    as: (person, work) => who.run(person, work),
    take,
    list: (person = current()) =>
      all()
        .map((waiting) => waiting.ticket)
        .filter((ticket) => ticket.person === person),
    stop: (id, person = current()) => {
      const found = all().find((waiting) => waiting.ticket.id === id && waiting.ticket.person === person);
      found?.control.abort();
      return found !== undefined;
    },
  };
}
