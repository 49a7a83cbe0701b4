/** A line before and after its one sign is changed. */
export function ChangeOfSign({
  change: { line, before, after },
}: {
  change: { line: number; before: string; after: string };
}) {
  return (
    <>
      Line {line}: <code className="whitespace-pre-wrap">{before.trim()}</code> becomes{" "}
      <code className="whitespace-pre-wrap">{after.trim()}</code>
    </>
  );
}
