import { createContext, useContext } from "react";

/** The revision of the case that a page shows. */
export const CaseRevision = createContext(0);

/** The field by which every form of a case page says which revision its reader saw. */
export function Revision() {
  return <input type="hidden" name="revision" value={useContext(CaseRevision)} />;
}
