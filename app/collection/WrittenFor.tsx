import { useFetcher } from "react-router";

/** Which assignment the programs of a set were written for, to be chosen; nothing where its course has none. */
export function WrittenFor({
  assignment,
  assignments,
}: {
  assignment: string;
  assignments: ReadonlyArray<{ key: string; title: string }>;
}) {
  const fetcher = useFetcher();
  if (assignments.length === 0) return null;
  return (
    <label>
      Written for
      <select
        className="field"
        value={String(fetcher.formData?.get("key") ?? assignment)}
        onChange={(event) => void fetcher.submit({ intent: "assignment", key: event.target.value }, { method: "post" })}
      >
        <option value="">no assignment</option>
        {assignments.map((each) => (
          <option key={each.key} value={each.key}>
            {each.title}
          </option>
        ))}
      </select>
    </label>
  );
}
