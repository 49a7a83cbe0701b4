import { useCourseWords } from "../components/marks.tsx";

/** A mark as whoever marks reads and gives it. */
type MarkToGive = {
  item: string;
  earned: number | null;
  possible: number;
  suggested: number | null;
  reason: string;
  marker: "program" | "teacher";
  scheme: number;
};

/** What an item earned or waits for, with the reason, and the fields by which it is given or overruled. */
export function MarkFields({
  mark,
  former = 0,
  says,
  press,
}: {
  mark: MarkToGive;
  /** How many former marks are kept. */
  former?: number;
  /** What the scheme says of the item, where it does not stand elsewhere on the page. */
  says?: string;
  press: string;
}) {
  const inWords = useCourseWords();
  const waits = mark.earned === null;
  return (
    <>
      <p>
        <strong>
          {mark.item}: {waits ? "waits for you" : `${mark.earned} of ${mark.possible}`}
        </strong>
        {mark.marker === "teacher" && (
          <span className="note-small"> by you{former > 0 ? ", the former mark is kept" : ""}</span>
        )}
        {mark.scheme > 1 && (
          <span className="note-small"> · scheme {mark.scheme}, with what was decided for the same answers before</span>
        )}
      </p>
      <p className="note-small">{mark.marker === "teacher" ? mark.reason : inWords(mark.reason)}</p>
      {waits && mark.suggested !== null && <p className="note-small">Suggested: {mark.suggested}</p>}
      {says !== undefined && <p className="note-small whitespace-pre-wrap">Scheme: {inWords(says)}</p>}
      <details open={waits}>
        <summary className="cursor-pointer text-sm text-steel-deep">{waits ? "Give the mark" : "Overrule"}</summary>
        <div className="flex items-end gap-2">
          <label className="text-sm">
            Mark
            <input
              type="number"
              name="earned"
              min={0}
              max={mark.possible}
              step={0.5}
              defaultValue={mark.earned ?? mark.suggested ?? 0}
              className="field w-20"
              required
            />
          </label>
          <label className="grow text-sm">
            {waits ? "Word to the student" : "Reason"}
            <input name="reason" className="field" required={!waits} />
          </label>
          <button className="press" type="submit">
            {press}
          </button>
        </div>
      </details>
    </>
  );
}
