import { WritingLines } from "../../print/PrintPage.tsx";

/** Three boxes, and room for a reason. */
export function Paper() {
  return (
    <>
      <p>☐ syntax error&emsp;☐ runtime error&emsp;☐ logic error</p>
      <p>Reason:</p>
      <WritingLines count={2} />
    </>
  );
}
