import { type DBSchema, type IDBPDatabase, openDB } from "idb";

/**
 * An answer that the server has not acknowledged yet. `base`: the revision that it was written upon; `writer` and `count`:
 * which page wrote it and the how manieth of its answers it is; `typedAt`: milliseconds since 1970; `upon`: marks of what
 * it holds of earlier answers that may have reached the server without this browser knowing.
 */
export type Draft = {
  content: unknown;
  base: number;
  writer: string;
  count: number;
  typedAt: number;
  upon: readonly number[];
};

/** Where drafts of one sitting are kept until they are acknowledged. */
export type Keep = {
  /** False where this browser keeps nothing. */
  put: (task: string, draft: Draft) => Promise<boolean>;
  /** Forgets a draft, unless a newer one has taken its place. */
  drop: (task: string, draft: Pick<Draft, "writer" | "count">) => Promise<void>;
  all: () => Promise<Map<string, Draft>>;
};

type Kept = { place: string; task: string; who: string; draft: Draft };
interface Schema extends DBSchema {
  drafts: { key: [string, string]; value: Kept; indexes: { place: string } };
}

const open = (): Promise<IDBPDatabase<Schema>> =>
  openDB<Schema>("bent-nail", 1, {
    upgrade: (database) =>
      void database.createObjectStore("drafts", { keyPath: ["place", "task"] }).createIndex("place", "place"),
  });

/**
 * Drafts of a sitting in this browser's own database. `place` names the sitting without opening it to anybody; `who` is
 * told to whoever uses the browser next while something of it is still unsent. A browser without a database keeps
 * nothing, and says so.
 */
export function keepInBrowser(place: string, who: string): Keep {
  let opened: Promise<IDBPDatabase<Schema>> | null = null;
  const database = () => {
    opened ??= open();
    return opened;
  };
  return {
    put: async (task, draft) => {
      try {
        await (await database()).put("drafts", { place, task, who, draft });
        return true;
      } catch {
        return false;
      }
    },
    drop: async (task, { writer, count }) => {
      try {
        const change = (await database()).transaction("drafts", "readwrite");
        const kept = await change.store.get([place, task]);
        if (kept && kept.draft.writer === writer && kept.draft.count <= count) await change.store.delete([place, task]);
        await change.done;
      } catch {
        // Nothing is kept here, so there is nothing to forget.
      }
    },
    all: async () => {
      try {
        const kept = await (await database()).getAllFromIndex("drafts", "place", place);
        return new Map(kept.map(({ task, draft }) => [task, draft]));
      } catch {
        return new Map();
      }
    },
  };
}

/** Whose unsent answers this browser holds, each once. */
export async function whoIsUnsent(): Promise<string[]> {
  try {
    return [...new Set((await (await open()).getAll("drafts")).map(({ who }) => who))];
  } catch {
    return [];
  }
}
