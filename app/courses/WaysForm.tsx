import type { ReactNode } from "react";
import { Form } from "react-router";
import type { CourseWay } from "./courseWays.ts";

/** Languages that can be written and read in several ways, each with the way that the course has. */
export function WaysForm({ ways, said }: { ways: readonly CourseWay[]; said: ReactNode }) {
  return ways.map(({ id, name, style, checks, all }) => {
    return (
      <Form key={id} method="post" className="leaf grid gap-3 p-3">
        <h2 className="text-base">{name} in this course</h2>
        <input type="hidden" name="language" value={id} />
        <label>
          How it is written
          <select name="style" className="field" defaultValue={style}>
            {all.styles.map((each) => (
              <option key={each.id} value={each.id}>
                {each.name}
              </option>
            ))}
          </select>
        </label>
        {all.checks.map((check) => (
          <label key={check.id} className="font-normal">
            <input type="checkbox" name="checks" value={check.id} defaultChecked={checks.includes(check.id)} />{" "}
            {check.says}
          </label>
        ))}
        <div>
          <button className="press" type="submit" name="intent" value="way">
            Keep this way
          </button>
          {said}
        </div>
      </Form>
    );
  });
}
