import { WritingLines } from "../../print/PrintPage.tsx";

/** Room for the mended lines. */
export function Paper() {
  return <WritingLines count={4} />;
}
