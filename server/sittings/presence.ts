/** Who of those who sit a sheet is connected, and where they are. Kept in memory: pages say it again every few seconds. */
export type Presence = {
  /** A page says that it is there, on which task, and whether another window is in front of it. */
  seen: (sitting: string, task: string | null, behind?: boolean) => void;
  /** What a sitting's page said last, and when (milliseconds since 1970); null: nothing since the server began. */
  of: (sitting: string) => Seen | null;
};

/** What a page said last. `behind`: another window is in front of it. */
export type Seen = { at: number; task: string | null; behind: boolean };

/** Sittings that are remembered at most; those seen longest ago are forgotten first. */
const mostRemembered = 5000;

export function createPresence(now: () => number = Date.now): Presence {
  const pages = new Map<string, Seen>();
  return {
    seen: (sitting, task, behind = false) => {
      const before = pages.get(sitting);
      pages.delete(sitting);
      pages.set(sitting, { at: now(), task: task ?? before?.task ?? null, behind });
      const oldest = pages.keys().next().value;
      if (pages.size > mostRemembered && oldest !== undefined) pages.delete(oldest);
    },
    of: (sitting) => pages.get(sitting) ?? null,
  };
}

/** The presence of all who sit a sheet of this server. */
export const presence = createPresence();

/** Milliseconds after which a page that said nothing counts as gone; browsers let one that is behind speak once a minute only. */
const goneAfter = 15_000;
const goneAfterBehind = 150_000;

/** Whether a page is there at a moment (milliseconds since 1970), in front of its student or behind another window. */
export function whereIs(seen: Seen | null, now: number): "here" | "behind" | "away" {
  if (!seen || now - seen.at >= (seen.behind ? goneAfterBehind : goneAfter)) return "away";
  return seen.behind ? "behind" : "here";
}
