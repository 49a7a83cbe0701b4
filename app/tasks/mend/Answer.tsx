import type { Hunk } from "../../../core/fixes/hunks.ts";
import { FixSlip } from "../../components/FixSlip.tsx";

/** The lines that were changed. */
export function Answer({ compared }: { compared: Hunk[] }) {
  if (compared.length === 0) return <p className="note-small">Nothing was changed.</p>;
  return <FixSlip hunks={compared} />;
}
