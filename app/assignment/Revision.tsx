import { createContext, useContext } from "react";

/** The revision at which the page had read the assignment that it shows. */
export const AssignmentRevision = createContext(0);

/** Names that revision in a form. */
export function Revision() {
  return <input type="hidden" name="revision" value={useContext(AssignmentRevision)} />;
}
