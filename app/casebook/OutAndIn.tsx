import { Form, useNavigation } from "react-router";
import { caseFormats } from "../../core/formats/formats.ts";

/** Takes the cases that a list shows out in open formats, and cases of another Bent Nail in. */
export function OutAndIn({
  filter,
  total,
  courses,
}: {
  filter: Readonly<Record<string, string | undefined>>;
  total: number;
  courses: ReadonlyArray<{ key: string; name: string }>;
}) {
  const busy = useNavigation().state !== "idle";
  return (
    <details className="leaf mt-4 px-3 py-2">
      <summary className="cursor-pointer font-semibold text-steel-deep">Take out, take in</summary>
      <div className="mt-2 grid gap-4 md:grid-cols-2">
        {/* The file comes as an answer of its own: the page stays. */}
        <form method="get" className="grid content-start gap-2" aria-label="Take out">
          {Object.entries(filter).map(
            ([name, value]) => value && <input key={name} type="hidden" name={name} value={value} />,
          )}
          <p>The {total === 1 ? "case" : `${total} cases`} of this list, as</p>
          <p className="flex flex-wrap gap-2">
            {[...caseFormats, { id: "bundle", words: "bundle for another Bent Nail" }].map(({ id, words }) => (
              <button key={id} className="press" type="submit" formAction={`/casebook/export/${id}`}>
                {words}
              </button>
            ))}
          </p>
          <label className="flex items-center gap-2 font-normal">
            <input type="checkbox" name="names" value="yes" /> with the labels of students
          </label>
          <p className="note-small">
            Without them, labels are replaced in programs, messages and notes as well, wherever they stand.
          </p>
        </form>
        <Form method="post" encType="multipart/form-data" className="grid content-start gap-2" aria-label="Take in">
          <label className="grid gap-1">
            A bundle of another Bent Nail
            <input type="file" name="bundle" accept=".zip" required className="field" />
          </label>
          <label className="flex items-baseline gap-2">
            into
            <select name="course" className="field w-auto">
              <option value="">no course</option>
              {courses.map(({ key, name }) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          <p>
            <button className="press" name="intent" value="take-in" type="submit" disabled={busy}>
              Take it in
            </button>
          </p>
        </Form>
      </div>
    </details>
  );
}
