import { type MouseEvent, type ReactNode, useCallback } from "react";
import { useNavigate } from "react-router";

/**
 * Makes plain links inside lead to their page without loading it anew, as the router's own do: for hundreds of links, each
 * of which would be a component. What a person opens in another window goes there.
 */
export function PlainLinks({ children }: { children: ReactNode }) {
  const navigate = useNavigate();
  const follow = useCallback(
    (event: MouseEvent) => {
      if (
        event.defaultPrevented ||
        event.button !== 0 ||
        event.metaKey ||
        event.ctrlKey ||
        event.shiftKey ||
        event.altKey
      )
        return;
      const link = event.target instanceof Element ? event.target.closest("a") : null;
      const to = link?.getAttribute("href");
      if (!link || !to || link.target || link.hasAttribute("download")) return;
      event.preventDefault();
      void navigate(to, to.startsWith("?") ? { replace: true, preventScrollReset: true } : {});
    },
    [navigate],
  );
  // The links themselves are reached and pressed by keys; this only hears of it.
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: it listens for its links and is none itself
    // biome-ignore lint/a11y/useKeyWithClickEvents: a link that is pressed by a key is clicked, too
    <div className="contents" onClick={follow}>
      {children}
    </div>
  );
}
