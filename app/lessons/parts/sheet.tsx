import { Link } from "react-router";
import { sheetSchema } from "../../../core/lessons/parts/sheetPart.ts";
import type { PartParts } from "./partParts.ts";

const goneSheet = "The sheet of this part is not there any more.";

export const sheet: PartParts<"sheet"> = {
  kind: "sheet",
  steps: () => 0,
  Before: ({ part }) =>
    part.shows ? (
      <div className="grid gap-3">
        <p>{part.shows.title}</p>
        {part.shows.state === "set" ? (
          <p>
            Code of the sheet: <strong className="font-mono text-[2.5em] tracking-widest">{part.shows.code}</strong>
          </p>
        ) : (
          <p>It is not set for students now.</p>
        )}
      </div>
    ) : (
      <p>{goneSheet}</p>
    ),
  Read: ({ part }) =>
    part.shows ? (
      <p className="border-l-4 border-steel pl-3">
        <strong>Task {part.firstTask}.</strong>{" "}
        {part.shows.state === "set" ? (
          <Link className="link" to={`/s/${part.shows.code}`}>
            {part.shows.title}
          </Link>
        ) : (
          <>{part.shows.title} (not open now)</>
        )}
      </p>
    ) : (
      <p>{goneSheet}</p>
    ),
  Plan: ({ part }) =>
    part.shows ? (
      <Link className="link" to={`/sheets/${part.shows.key}`}>
        {part.shows.title}
      </Link>
    ) : (
      goneSheet
    ),
  Fields: ({ content, choices }) => {
    const read = sheetSchema.safeParse(content);
    return (
      <label>
        Sheet
        <select name="sheet" className="field" defaultValue={read.success ? read.data.sheet : ""}>
          {choices.sheets.map(({ key, title }) => (
            <option key={key} value={key}>
              {title}
            </option>
          ))}
        </select>
      </label>
    );
  },
  contentOf: (given) => ({ sheet: given.get("sheet") }),
};
