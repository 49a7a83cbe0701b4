/** Who of those who sit a sheet is connected, and where they are. Kept in memory: pages say it again every few seconds. */
export type Presence = {
  /** A page says that it is there, and on which task. */
  seen: (sitting: string, task: string | null) => void;
  /** When a sitting was seen last (milliseconds since 1970) and on which task; null: not since the server began. */
  of: (sitting: string) => { at: number; task: string | null } | null;
};

/** Sittings that are remembered at most; those seen longest ago are forgotten first. */
const mostRemembered = 5000;

export function createPresence(now: () => number = Date.now): Presence {
  const pages = new Map<string, { at: number; task: string | null }>();
  return {
    seen: (sitting, task) => {
      const before = pages.get(sitting);
      pages.delete(sitting);
      pages.set(sitting, { at: now(), task: task ?? before?.task ?? null });
      const oldest = pages.keys().next().value;
      if (pages.size > mostRemembered && oldest !== undefined) pages.delete(oldest);
    },
    of: (sitting) => pages.get(sitting) ?? null,
  };
}

/** The presence of all who sit a sheet of this server. */
export const presence = createPresence();

/** Milliseconds after which a page that said nothing counts as gone. */
export const goneAfter = 15_000;
