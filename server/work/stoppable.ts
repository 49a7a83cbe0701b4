import { availableParallelism } from "node:os";

/** As many runs at once as work behind the pages may have: a part of the machine stays for people. */
export const runsBeside = Math.max(1, availableParallelism() - 1);

/** Milliseconds between two notes of how far some work is. */
const betweenNotes = 1000;

/** Work of this process that can be stopped while it goes on, by what it is about. */
export type Stoppable = {
  /** Does some work; the signal tells it to come to its end. */
  run: (about: string, work: (signal: AbortSignal) => Promise<void>) => Promise<void>;
  /** Tells it to stop, and returns when it has come to its end and kept what it has; at once where nothing goes on. */
  stop: (about: string) => Promise<void>;
};

/** Keeps account of work that goes on. One more about the same begins when the one before has come to its end. */
export function createStoppable(): Stoppable {
  const going = new Map<string, Array<{ control: AbortController; ended: Promise<void> }>>();
  const over = (work: Promise<void> | undefined) => work?.catch(() => undefined) ?? Promise.resolve();
  return {
    run: async (about, work) => {
      const all = going.get(about) ?? [];
      const control = new AbortController();
      const mine = { control, ended: over(all.at(-1)?.ended).then(() => work(control.signal)) };
      going.set(about, [...all, mine]);
      try {
        await mine.ended;
      } finally {
        const rest = (going.get(about) ?? []).filter((each) => each !== mine);
        if (rest.length > 0) going.set(about, rest);
        else going.delete(about);
      }
    },
    stop: async (about) => {
      const all = going.get(about) ?? [];
      for (const { control } of all) control.abort();
      await Promise.all(all.map((each) => over(each.ended)));
    },
  };
}

/** Calls `note` at most once a second, with what was said last; what becomes of it is nobody's concern. */
export function nowAndThen<Given extends unknown[]>(
  note: (...given: Given) => Promise<void>,
): (...given: Given) => void {
  let noted = Date.now();
  return (...given) => {
    if (Date.now() - noted < betweenNotes) return;
    noted = Date.now();
    void note(...given).catch(() => undefined);
  };
}
