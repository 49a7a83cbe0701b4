/** Guessing of labels' codes, slowed down so that nobody can lock another out. Kept in memory: a restart forgives. */
export type Guesses = {
  /**
   * Whether a code may be tried from an address; words for the person if not. A right code from an address that did not
   * guess is always let in.
   */
  refusal: (address: string, name: string) => string | null;
  wrong: (address: string, name: string) => void;
  right: (address: string, name: string) => void;
  /** Names that are slowed down for some address, with how many wrong codes came from it and until when. */
  slowed: (name: string) => Array<{ address: string; wrong: number; until: Date }>;
  /** Lets every address try a name again. */
  lift: (name: string) => void;
};

/**
 * Limits within `milliseconds`: wrong codes from one address for one name; from one address for all names (a class may
 * share an address); and for one name from everywhere, beyond which only those addresses may try it that gave no wrong
 * code for it.
 */
export type GuessLimits = { most: number; mostOfAddress: number; mostOfName: number; milliseconds: number };

const usual: GuessLimits = { most: 10, mostOfAddress: 100, mostOfName: 60, milliseconds: 10 * 60_000 };

/** How a label or code counts: signs that look alike or do not show make no other name. */
export function normalName(name: string): string {
  return name.normalize("NFKC").replace(/\s+/g, " ").trim().toLowerCase();
}

/** Names and addresses that are remembered at most; the oldest wrong code is forgotten first. */
const mostRemembered = 50_000;

export function createGuesses(limits: Partial<GuessLimits> = {}, now: () => number = Date.now): Guesses {
  const { most, mostOfAddress, mostOfName, milliseconds } = { ...usual, ...limits };
  type Guess = { address: string; name: string; at: number };
  let guesses: Guess[] = [];
  const recent = () => {
    const since = now() - milliseconds;
    if ((guesses[0]?.at ?? now()) <= since) guesses = guesses.filter((guess) => guess.at > since);
    return guesses;
  };
  return {
    refusal: (address, given) => {
      const name = normalName(given);
      const all = recent();
      const ofName = all.filter((guess) => guess.name === name);
      const here = ofName.filter((guess) => guess.address === address).length;
      if (here >= most)
        return "Too many wrong codes for this label from this device. Wait ten minutes, or ask your teacher to let you in.";
      if (here > 0 && ofName.length >= mostOfName)
        return "Too many wrong codes for this label. Wait ten minutes, or ask your teacher to let you in.";
      if (all.filter((guess) => guess.address === address).length >= mostOfAddress)
        return "Too many wrong codes from this network. Wait ten minutes.";
      return null;
    },
    wrong: (address, name) => {
      recent().push({ address, name: normalName(name), at: now() });
      if (guesses.length > mostRemembered) guesses.shift();
    },
    right: (address, given) => {
      const name = normalName(given);
      guesses = guesses.filter((guess) => guess.name !== name || guess.address !== address);
    },
    slowed: (given) => {
      const name = normalName(given);
      const byAddress = new Map<string, Guess[]>();
      for (const guess of recent())
        if (guess.name === name) byAddress.set(guess.address, [...(byAddress.get(guess.address) ?? []), guess]);
      const wrongInAll = [...byAddress.values()].flat().length;
      return [...byAddress]
        .filter(([, own]) => own.length >= most || wrongInAll >= mostOfName)
        .map(([address, own]) => ({
          address,
          wrong: own.length,
          until: new Date((own.at(-most)?.at ?? own[0]?.at ?? now()) + milliseconds),
        }));
    },
    lift: (given) => {
      const name = normalName(given);
      guesses = guesses.filter((guess) => guess.name !== name);
    },
  };
}

/** Personal codes, by course and label, of hand-ins and sittings alike. */
export const codeGuesses = createGuesses();

/** How a student's label is named among the guesses. */
export function labelOfCourse(course: string, label: string): string {
  return `${course} ${label}`;
}
