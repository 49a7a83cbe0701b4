import { useSearchParams } from "react-router";

/** The leaves of the facing page. */
export const leafNames = [
  "messages",
  "checks",
  "trace",
  "table",
  "mend",
  "narrow",
  "chart",
  "structure",
  "versions",
  "seen",
  "card",
] as const;

/** The address of a leaf of the case that is shown, for links; where somebody works through several cases, that goes on. */
export function useLeafAddress(): (leaf: string) => string {
  const [query] = useSearchParams();
  const through = query.get("through");
  return (leaf) => `?leaf=${leaf}${through === null ? "" : `&through=${encodeURIComponent(through)}`}`;
}
