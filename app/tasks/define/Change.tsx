import type { DefineView } from "../../../core/exercises/tasks/define.ts";
import { useClassWords } from "../../components/marks.tsx";
import type { ChangeProps } from "../taskParts.ts";

/** Which class is to be defined. */
export function Change({ ownKey }: ChangeProps<DefineView>) {
  const classWords = useClassWords();
  return (
    <label className="text-sm">
      Which kind of error
      <select name="class" className="field" defaultValue={ownKey.class}>
        {(["syntax", "runtime", "logic"] as const).map((each) => (
          <option key={each} value={each}>
            {classWords(each)}
          </option>
        ))}
      </select>
    </label>
  );
}
