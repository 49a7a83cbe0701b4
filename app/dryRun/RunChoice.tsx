/** A version or a check that can be chosen. */
export type Choice = { key: string; name: string };

/** Which version runs, with which check's input; the names of both fields are those of the address. */
export function RunChoice({
  fields,
  chosen,
  versions,
  checks,
}: {
  fields: { version: string; check: string };
  chosen: { version: string; check: string };
  versions: readonly Choice[];
  checks: readonly Choice[];
}) {
  const options = (choices: readonly Choice[]) =>
    choices.map((choice) => (
      <option key={choice.key} value={choice.key}>
        {choice.name}
      </option>
    ));
  return (
    <>
      <label className="text-sm">
        Version
        <select name={fields.version} defaultValue={chosen.version} className="field">
          {options(versions)}
        </select>
      </label>
      <label className="text-sm">
        Input of
        <select name={fields.check} defaultValue={chosen.check} className="field">
          {options(checks)}
        </select>
      </label>
    </>
  );
}
