import { useId, useState } from "react";
import { Link, type useFetcher } from "react-router";
import type { AlikeGroup } from "../../core/cases/alike.ts";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import type { GroupedCase } from "../../server/judge/caseGroups.ts";
import type { Reply } from "../actions.ts";
import { walkAddress } from "../case/walkAddress.ts";
import { ClassMark } from "../components/marks.tsx";

const classes: readonly FaultClass[] = ["syntax", "runtime", "logic"];

/** Cases that fail alike with one decision for all that stay ticked. */
export function GroupCard({
  group,
  through,
  fetcher,
}: {
  group: AlikeGroup<GroupedCase>;
  through: string;
  fetcher: ReturnType<typeof useFetcher<Reply>>;
}) {
  const id = useId();
  const [chosen, setChosen] = useState<FaultClass>(group.class);
  const [taken, setTaken] = useState<ReadonlySet<string>>(() => new Set());
  const overrules = chosen !== group.class;
  const count = group.cases.length - taken.size;
  const toggle = (key: string) => {
    const next = new Set(taken);
    if (!next.delete(key)) next.add(key);
    setTaken(next);
  };
  return (
    <fetcher.Form method="post" className="leaf grid gap-2 p-3" aria-labelledby={id} tabIndex={-1} data-group>
      <header className="flex flex-wrap items-center gap-x-3">
        <ClassMark of={group.class} kind={group.kind === "form" || group.kind === "meaning" ? group.kind : null} />
        <h2 id={id} className="text-base">
          {group.cases.length} cases{group.shows ? ": " : ""}
          {group.shows && <code className="text-sm font-normal break-words">{group.shows}</code>}
        </h2>
      </header>
      <ul className="grid gap-x-6 sm:grid-cols-2" aria-label="Cases of the group">
        {group.cases.map((each) => (
          <li key={each.key} className="flex min-w-0 items-baseline gap-2">
            <input
              type="checkbox"
              name="cases"
              value={`${each.key} ${each.revision}`}
              checked={!taken.has(each.key)}
              onChange={() => toggle(each.key)}
              aria-label={`${each.label ?? each.title} is decided, too`}
            />
            <Link className="link" to={walkAddress(each.key, through)}>
              {each.label ?? each.title}
            </Link>
            {each.shows !== group.shows && <code className="note-small truncate">{each.shows}</code>}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-4">
        <fieldset className="flex flex-wrap items-center gap-4">
          <legend className="sr-only">Class</legend>
          {classes.map((each) => (
            <label key={each} className="flex items-center gap-1 font-normal">
              <input
                type="radio"
                name="class"
                value={each}
                checked={chosen === each}
                onChange={() => setChosen(each)}
              />
              <ClassMark of={each} />
            </label>
          ))}
        </fieldset>
        {overrules ? (
          <label className="min-w-64 flex-1">
            Why, against the evidence
            <input name="reason" className="field" maxLength={2000} required />
          </label>
        ) : (
          <input type="hidden" name="reason" value="" />
        )}
        <button
          className="press press-main ml-auto"
          name="intent"
          value="decide"
          type="submit"
          disabled={count === 0 || fetcher.state !== "idle"}
        >
          Decide {count === 1 ? "this one" : `these ${count}`}
        </button>
      </div>
    </fetcher.Form>
  );
}
