import { useClassWords } from "../../components/marks.tsx";
import { WritingLines } from "../../print/PrintPage.tsx";

/** Three boxes, and room for a reason. */
export function Paper() {
  const classWords = useClassWords();
  return (
    <>
      <p>
        {(["syntax", "runtime", "logic"] as const).map((each) => (
          <span key={each}>☐ {classWords(each)}&emsp;</span>
        ))}
      </p>
      <p>Reason:</p>
      <WritingLines count={2} />
    </>
  );
}
