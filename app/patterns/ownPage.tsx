import { data, Form, Link, redirect, useNavigation } from "react-router";
import { findLanguage, languages } from "../../core/languages/languages.ts";
import { howItShows } from "../../core/patterns/cards.ts";
import { caseOfExample } from "../../server/casebook/exerciseOfExample.ts";
import { addOwnPattern, findOwnPattern, putOwnPatternAway, setOwnPattern } from "../../server/cases/ownPatternStore.ts";
import { runExample } from "../../server/judge/exampleRuns.ts";
import { firstTeacher } from "../../server/people/teacherStore.ts";
import { CasebookTabs } from "../casebook/CasebookTabs.tsx";
import { ClassMark } from "../components/marks.tsx";
import { readForm } from "../forms.ts";
import type { Route } from "./+types/ownPage.ts";
import { ExampleView } from "./ExampleView.tsx";

export const meta: Route.MetaFunction = () => [{ title: "A pattern of your own · Bent Nail" }];

/** Characters of a program that an example may have. */
const longest = 20_000;

export async function loader({ params, context }: Route.LoaderArgs) {
  const found = params.ownKey ? await findOwnPattern(context.services.database.query, params.ownKey) : null;
  if (params.ownKey && !found) throw data("There is no such kind of mistake.", { status: 404 });
  return {
    found,
    languages: languages.filter(({ runs }) => runs !== false).map(({ id, name }) => ({ id, name })),
    language: found?.example ? (findLanguage(found.example.language)?.name ?? "") : "",
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const { services, who } = context;
  const { query } = services.database;
  const form = await readForm(request);
  const text = (name: string) => String(form.get(name) ?? "").slice(0, longest);
  const key = params.ownKey;
  const intent = text("intent");
  if (key && intent === "away") {
    await putOwnPatternAway(query, key, true);
    return redirect("/patterns");
  }
  if (key && intent === "exercise") {
    const found = await findOwnPattern(query, key);
    if (!found?.example || !found.recorded)
      return { problem: "Give it an example that runs first: an exercise is made of that.", given: null };
    const made = await caseOfExample(services, who, found.example, found);
    return made.ok ? redirect(`/cases/${made.case}/exercise`) : { problem: made.message, given: null };
  }
  const given = {
    ...{ name: text("name").trim(), says: text("says").trim(), mends: text("mends").trim() },
    ...{ language: text("language"), right: text("right"), faulty: text("faulty"), input: text("input") },
  };
  if (given.name === "") return { problem: "Give it a name: it is chosen by that.", given };
  const hasExample = given.right.trim() !== "" && given.faulty.trim() !== "";
  const example = hasExample
    ? { language: given.language, right: given.right, faulty: given.faulty, input: given.input }
    : null;
  const run = example && (await runExample(services.toolchains, example));
  const fields = { ...given, example, recorded: run?.ok ? run.record : null };
  const owner = who.role === "teacher" ? who.teacher : firstTeacher;
  const kept = key ?? (await addOwnPattern(query, owner, fields));
  if (key) await setOwnPattern(query, key, fields);
  if (run && !run.ok)
    return {
      problem: `Kept, but its example cannot be used for exercises. ${run.problem}`,
      given,
      at: `/patterns/own/${kept}`,
    };
  return redirect(`/patterns/own/${kept}`);
}

export default function OwnPattern({
  loaderData: { found, languages: all, language },
  actionData,
}: Route.ComponentProps) {
  const busy = useNavigation().state !== "idle";
  const given = actionData?.given;
  const value = (name: "name" | "says" | "mends") => given?.[name] ?? found?.[name] ?? "";
  const ofExample = (name: "language" | "right" | "faulty" | "input") => given?.[name] ?? found?.example?.[name] ?? "";
  return (
    <>
      <h1>{found ? found.name : "A kind of mistake of your own"}</h1>
      <CasebookTabs />
      {actionData?.problem && (
        <p role="alert" className="mb-3 border-l-4 border-ochre pl-3">
          {actionData.problem}{" "}
          {actionData.at && (
            <Link className="link" to={actionData.at}>
              Go on with it
            </Link>
          )}
        </p>
      )}
      {found?.recorded && found.example && (
        <section className="leaf mb-4 grid gap-2 p-3" aria-label="What its example shows">
          <p className="flex flex-wrap items-center gap-3">
            <strong>{language}</strong>
            {found.recorded.class && <ClassMark of={found.recorded.class} kind={found.recorded.kind} />}
            <span>{howItShows(found.recorded)}</span>
            {found.recorded.message && <code>{found.recorded.message}</code>}
          </p>
          <ExampleView right={found.example.right} faulty={found.example.faulty} input={found.example.input} />
          <Form method="post" className="flex gap-3">
            <button className="press" name="intent" value="exercise" type="submit" disabled={busy}>
              Make an exercise of it
            </button>
            <button className="press press-quiet" name="intent" value="away" type="submit" disabled={busy}>
              Put away
            </button>
          </Form>
        </section>
      )}
      <Form method="post" className="grid max-w-5xl gap-3" key={found?.key ?? "new"}>
        <label>
          Name
          <input className="field" name="name" required maxLength={120} defaultValue={value("name")} />
        </label>
        <label>
          What it is, in a sentence
          <textarea className="field" name="says" rows={2} defaultValue={value("says")} />
        </label>
        <label>
          How it is mended
          <textarea className="field" name="mends" rows={2} defaultValue={value("mends")} />
        </label>
        <fieldset className="grid gap-2">
          <legend>An example that runs (needed for exercises)</legend>
          <select
            name="language"
            className="field w-auto"
            aria-label="Language of the example"
            defaultValue={ofExample("language")}
          >
            {all.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
          <div className="grid gap-3 md:grid-cols-2">
            <label>
              The right program
              <textarea
                className="field min-h-40 font-mono text-sm"
                name="right"
                spellCheck={false}
                defaultValue={ofExample("right")}
              />
            </label>
            <label>
              The same with the slip
              <textarea
                className="field min-h-40 font-mono text-sm"
                name="faulty"
                spellCheck={false}
                defaultValue={ofExample("faulty")}
              />
            </label>
          </div>
          <label>
            Typed in
            <textarea className="field font-mono text-sm" name="input" rows={2} defaultValue={ofExample("input")} />
          </label>
        </fieldset>
        <p>
          <button className="press press-main" type="submit" disabled={busy}>
            {busy ? "Running both…" : "Keep it and run the example"}
          </button>
        </p>
      </Form>
    </>
  );
}
