import { useCallback, useEffect, useRef, useState } from "react";
import { data } from "react-router";
import { findLesson } from "../../server/lessons/lessonStore.ts";
import { lessonView, type ShownPart } from "../../server/lessons/lessonView.ts";
import { PresentBar, usePresentKeys } from "../present/PresentBar.tsx";
import type { Presentation } from "../present/presentation.ts";
import type { Route } from "./+types/beforePage.ts";
import { LoadProgram } from "./LoadProgram.tsx";
import { partPartsOf } from "./parts/list.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: loaderData?.title ?? "Lesson" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const lesson = await findLesson(database, params.lessonKey);
  if (!lesson) throw data("There is no such lesson.", { status: 404 });
  const view = await lessonView(database, lesson, true);
  return { ...view, key: lesson.key };
}

/** A lesson before a class, part by part; nothing of a part is told before it is asked for. */
export default function Before({ loaderData: view }: Route.ComponentProps) {
  const [place, setPlace] = useState({ at: 0, count: 0, round: 0 });
  const [loaded, setLoaded] = useState<Readonly<Record<string, Presentation>>>({});
  const frame = useRef<HTMLElement>(null);
  const part = view.parts[place.at];
  const stepsOf = useCallback(
    (at: number) => {
      const other = view.parts[at];
      if (!other) return 0;
      const exercise = exerciseIn(other);
      return partPartsOf(other.kind).steps(other, exercise === null ? null : (loaded[exercise] ?? null));
    },
    [view.parts, loaded],
  );
  // What a part reveals is not known before its program has been run: going on waits for that.
  const isThere = useCallback(
    (at: number) => {
      const exercise = view.parts[at] ? exerciseIn(view.parts[at]) : null;
      return exercise === null || loaded[exercise] !== undefined;
    },
    [view.parts, loaded],
  );
  const end = view.parts.length - 1;
  const on = useCallback(
    () =>
      setPlace((now) =>
        now.count < stepsOf(now.at)
          ? { ...now, count: now.count + 1 }
          : now.at < end && isThere(now.at)
            ? { at: now.at + 1, count: 0, round: 0 }
            : now,
      ),
    [stepsOf, isThere, end],
  );
  const back = useCallback(
    () =>
      setPlace((now) =>
        now.count > 0
          ? { ...now, count: now.count - 1 }
          : now.at > 0
            ? { at: now.at - 1, count: stepsOf(now.at - 1), round: 0 }
            : now,
      ),
    [stepsOf],
  );
  const begin = useCallback(() => setPlace((now) => ({ ...now, count: 0, round: now.round + 1 })), []);
  usePresentKeys({ on, back, begin });
  useEffect(() => frame.current?.focus(), []);
  const exercises = [...new Set(view.parts.flatMap((each) => exerciseIn(each) ?? []))];
  const own = part ? exerciseIn(part) : null;
  const Shown = part ? partPartsOf(part.kind).Before : null;

  return (
    <main
      ref={frame}
      tabIndex={-1}
      className="grid min-h-screen grid-rows-[auto_1fr_auto] gap-4 p-6 text-[1.5rem] outline-none"
    >
      {exercises.map((exercise) => (
        <LoadProgram
          key={exercise}
          exercise={exercise}
          told={(program) => setLoaded((now) => ({ ...now, [exercise]: program }))}
        />
      ))}
      <header>
        <p className="text-base text-graphite">
          {view.title}
          {part && `, part ${place.at + 1} of ${view.parts.length}`}
        </p>
        <h1 className="text-[2rem]">{part?.name ?? "This lesson has no parts yet."}</h1>
      </header>
      <div className="grid content-start gap-4">
        {part && Shown && (
          <Shown
            key={`${part.key} ${place.round}`}
            part={part}
            count={place.count}
            loaded={own === null ? null : (loaded[own] ?? null)}
          />
        )}
      </div>
      <PresentBar
        steps={{ count: place.count, last: stepsOf(place.at), on, back, begin }}
        atBegin={place.at === 0 && place.count === 0}
        atEnd={!isThere(place.at) || (place.at >= end && place.count >= stepsOf(place.at))}
        away={`/lessons/${view.key}`}
      >
        <label>
          Part{" "}
          <select
            className="field"
            value={place.at}
            onChange={(event) => {
              setPlace({ at: Number(event.target.value), count: 0, round: 0 });
              frame.current?.focus();
            }}
          >
            {view.parts.map((each, at) => (
              <option key={each.key} value={at}>
                {at + 1}. {each.name}
              </option>
            ))}
          </select>
        </label>
      </PresentBar>
    </main>
  );
}

/** The exercise whose program is run for a part; null for parts that need none. */
function exerciseIn(part: ShownPart): string | null {
  return partPartsOf(part.kind).runs?.(part) ?? null;
}
