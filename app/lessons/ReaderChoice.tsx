import { readers } from "../../core/lessons/classTexts.ts";

/** For whom a lesson is explained. */
export function ReaderChoice({ chosen }: { chosen?: string }) {
  return (
    <label className="grid gap-1">
      Explained for
      <select name="reader" className="field" defaultValue={chosen} key={chosen}>
        {readers.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
