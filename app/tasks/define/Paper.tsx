import type { DefineView } from "../../../core/exercises/tasks/define.ts";
import { useClassWords } from "../../components/marks.tsx";
import { WritingLines } from "../../print/PrintPage.tsx";

/** Room for both parts of a definition. */
export function Paper({ view }: { view: DefineView }) {
  const classWords = useClassWords();
  return (
    <>
      <p>A {classWords(view.class)}: what is it?</p>
      <WritingLines count={2} />
      <p>What does it bring about?</p>
      <WritingLines count={2} />
    </>
  );
}
