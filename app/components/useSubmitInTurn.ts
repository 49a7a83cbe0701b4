import { useEffect, useState } from "react";
import type { FetcherWithComponents } from "react-router";

type Form = Readonly<Record<string, string>>;

/**
 * Sends forms by a fetcher one after another: one that is sent while another is on its way waits for it, since it would carry
 * a revision that is not the newest any more. Only the last one waits. `waiting`: that form, if there is one.
 */
export function useSubmitInTurn(
  fetcher: FetcherWithComponents<unknown>,
  revision: number,
): { submit: (form: Form) => void; waiting: Form | null } {
  const [waiting, setWaiting] = useState<Form | null>(null);
  useEffect(() => {
    if (waiting === null || fetcher.state !== "idle") return;
    setWaiting(null);
    void fetcher.submit({ ...waiting, revision: String(revision) }, { method: "post" });
  }, [waiting, fetcher, revision]);
  return { submit: setWaiting, waiting };
}
