import { useEffect, useRef } from "react";
import { Link, useSearchParams } from "react-router";
import type { CaseView } from "./caseView.ts";
import { alikeAddress, walkAddress, walkHome } from "./walkAddress.ts";

/** Where somebody works through several cases: how many are left, and the ways to the next and the former one. */
export function WalkStrip({ view }: { view: CaseView }) {
  const [query] = useSearchParams();
  const through = query.get("through") ?? "";
  const { walk } = view;
  const asked = useRef("");
  const soon = (walk?.soon ?? []).join(" ");
  // While this case is looked at, changes are looked for in those that come next.
  useEffect(() => {
    if (soon === "" || asked.current === soon) return;
    asked.current = soon;
    // Where it is not heard, the case is looked at when it is opened.
    void fetch("/walk/ahead", { method: "POST", body: new URLSearchParams({ cases: soon }) }).catch(() => undefined);
  }, [soon]);
  if (!walk) return null;
  const home = walkHome(through);
  return (
    <nav aria-label="Working through" className="mb-2 flex flex-wrap items-baseline gap-x-4 border-b border-rule pb-1">
      <span>
        Working through{" "}
        <Link className="link" to={home}>
          {walk.title ?? "the Tray"}
        </Link>
        : <strong>{walk.left === 0 ? "nothing is left" : `${walk.left} left`}</strong>
      </span>
      {walk.left > 1 && (
        <Link className="link" to={alikeAddress(through)}>
          Those that fail alike <kbd>G</kbd>
        </Link>
      )}
      <span className="ml-auto flex gap-3">
        {walk.former && (
          <Link className="press press-quiet" to={walkAddress(walk.former, through)}>
            Former <kbd>B</kbd>
          </Link>
        )}
        {walk.next ? (
          <Link className="press press-quiet" to={walkAddress(walk.next, through)}>
            Next <kbd>N</kbd>
          </Link>
        ) : (
          <Link className="press press-quiet" to={home}>
            Back to {walk.title ?? "the Tray"} <kbd>N</kbd>
          </Link>
        )}
      </span>
    </nav>
  );
}
