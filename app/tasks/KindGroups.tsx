import type { ReactNode } from "react";

/** A kind as a form offers it. */
export type OfferedKind = { kind: string; title: string; marks: number };
export type OfferedGroup<Kind extends OfferedKind> = { title: string; kinds: Kind[] };

/** Kinds of task by what they are about; a group of which something is proposed is open. */
export function KindGroups<Kind extends OfferedKind>({
  groups,
  row,
}: {
  groups: ReadonlyArray<OfferedGroup<Kind>>;
  row: (kind: Kind) => ReactNode;
}) {
  return (
    <div className="leaf mt-1 divide-y divide-rule">
      {groups.map(({ title, kinds }) => (
        <details key={title} open={kinds.some(({ marks }) => marks > 0)}>
          <summary className="cursor-pointer px-3 py-1.5 font-semibold">
            {title} <span className="note-small font-normal">{kinds.length}</span>
          </summary>
          <ul className="pb-1">
            {kinds.map((kind) => (
              <li key={kind.kind} className="px-3 py-1">
                {row(kind)}
              </li>
            ))}
          </ul>
        </details>
      ))}
    </div>
  );
}
