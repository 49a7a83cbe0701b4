import type { ClassifyAnswer } from "../../../core/exercises/tasks/classify.ts";
import { useClassWords } from "../../components/marks.tsx";

/** The class that was chosen, and the reason in the student's words. */
export function Answer({ compared }: { compared: ClassifyAnswer }) {
  const classWords = useClassWords();
  return (
    <>
      <p>{classWords(compared.class)}</p>
      {compared.reason && <p className="whitespace-pre-wrap">“{compared.reason}”</p>}
    </>
  );
}
