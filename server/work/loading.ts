/** How far the loading of much data has come; `failed` says why it broke off, in words for a person. */
export type LoadingState = { what: string; done: number; total: number; failed: string | null };

/**
 * Data that comes in behind the pages while the server answers already. Pages look at `now`; whoever loads says how many
 * parts there are and ends each.
 */
export type Loading = {
  /** Null where nothing is being loaded. */
  now: () => LoadingState | null;
  /** Begins with so many parts. */
  begin: (total: number) => void;
  /** One part more is there, by its name. */
  end: (what: string) => void;
  /** All is there. */
  finish: () => void;
  /** It broke off; what came in stays. */
  fail: (why: string) => void;
};

/** Progress as above; `tell` is called whenever it changes. */
export function createLoading(tell: (state: LoadingState) => void = () => undefined): Loading {
  let state: LoadingState | null = null;
  const change = (next: LoadingState) => {
    state = next;
    tell(next);
  };
  return {
    now: () => state,
    begin: (total) => change({ what: "", done: 0, total, failed: null }),
    end: (what) => {
      if (state) change({ ...state, what, done: state.done + 1 });
    },
    finish: () => {
      if (state) tell({ ...state, what: "", done: state.total });
      state = null;
    },
    fail: (why) => {
      if (state) change({ ...state, failed: why });
    },
  };
}
