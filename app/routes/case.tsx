import { useState } from "react";
import { data, Link, redirect, useFetcher, useSearchParams } from "react-router";
import { z } from "zod";
import { faultClassSchema } from "../../core/cases/case.ts";
import { type Surroundings, surroundingsSchema } from "../../core/cases/surroundings.ts";
import { findWording } from "../../core/wording/wordings.ts";
import { decideClass, goBackTo, removeCheck, saveCheck, setFaultyLines, setIntention, tryFix, verifyAgain } from "../../server/layers.ts";
import { switchPart } from "../../server/prepared.ts";
import { services } from "../../server/services.ts";
import { addOutput, deleteCase, findCase, restoreCase, setNote, setWorked } from "../../server/stores/cases.ts";
import { decideWarning } from "../../server/warnings.ts";
import { CaseScript } from "../case/CaseScript.tsx";
import { ChecksLeaf } from "../case/ChecksLeaf.tsx";
import { type CaseView, caseView, type Leaf } from "../case/caseView.ts";
import { HandedIn } from "../case/HandedIn.tsx";
import { LayerList } from "../case/LayerList.tsx";
import { MendLeaf } from "../case/MendLeaf.tsx";
import { MessagesLeaf } from "../case/MessagesLeaf.tsx";
import { TraceLeaf } from "../case/TraceLeaf.tsx";
import { VerdictStrip } from "../case/VerdictStrip.tsx";
import { VersionsLeaf } from "../case/VersionsLeaf.tsx";
import { WordingContext } from "../components/marks.tsx";
import { Script } from "../components/Script.tsx";
import { formText, readForm, wholeNumber } from "../formText.ts";
import type { Route } from "./+types/case.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: `${(loaderData as CaseView | undefined)?.title ?? "Case"} · Bent Nail` }];

const leafSchema = z.enum(["messages", "checks", "trace", "mend", "versions"]).catch("checks");

export async function loader({ params, request }: Route.LoaderArgs) {
  const found = await findCase(services().database, params.caseKey);
  if (!found) throw data("There is no such case. It may have been put away for good.", { status: 404 });
  const query = new URL(request.url).searchParams;
  return caseView(services(), found, {
    leaf: leafSchema.parse(query.get("leaf") ?? "checks"),
    check: query.get("check"),
    version: query.get("version"),
    rows: query.get("rows") === "change" ? "change" : "line",
    from: wholeNumber(query.get("from"), { from: 0, to: 1_000_000, otherwise: 0 }),
  });
}

const lineListSchema = z.array(z.number().int().positive());

/** What a change gives back to the page: a message for the person, and whether it was done. */
export type CaseReply = { intent: string; ok: boolean; message: string };

export async function action({ params, request }: Route.ActionArgs) {
  const form = await readForm(request);
  const intent = String(form.get("intent"));
  const reply = (ok: boolean, message = ""): CaseReply => ({ intent, ok, message });
  const found = await findCase(services().database, params.caseKey);
  if (!found) throw data("There is no such case.", { status: 404 });
  const revision = wholeNumber(form.get("revision"), { from: -1, to: 2 ** 31 - 1, otherwise: -1 });
  const key = String(form.get("key") ?? "");

  switch (intent) {
    case "decide": {
      const faultClass = faultClassSchema.safeParse(form.get("class"));
      if (!faultClass.success) return reply(false, "Choose one of the three classes.");
      const kind = form.get("kind");
      const done = await decideClass(services(), found, revision, {
        class: faultClass.data,
        kind: faultClass.data === "syntax" ? (kind === "meaning" ? "meaning" : "form") : null,
        reason: formText(form, "reason"),
      });
      return done.ok ? reply(true, "Verdict kept.") : reply(false, done.message);
    }
    case "faulty": {
      const lines = readLines(formText(form, "lines"));
      if (lines === null) return reply(false, "Which lines are meant cannot be read. Nothing was changed.");
      const file = found.versions.find((version) => version.key === found.current_version)?.files[0]?.name ?? "";
      const done = await setFaultyLines(
        services(),
        found,
        revision,
        lines.map((line) => ({ file, line })),
      );
      return done.ok ? reply(true) : reply(false, done.message);
    }
    case "mend": {
      const tried = await tryFix(services(), found, revision, formText(form, "text"), form.get("force") !== null);
      if (!tried.ok) return reply(false, tried.message);
      const words = {
        verified: "All checks pass. The fix is verified, and the runs are kept as proof.",
        "next fault": "The gate that failed passes now. The next fault shows: it is the next layer.",
        "not mended": "The same fault still shows. Your try is kept under Versions; go on editing, or keep it as one mended fault of several.",
        open: "The gate that failed passes now. What is still open is written beside the checks.",
        "no change": "Nothing was changed yet.",
        "nothing to mend":
          "No check shows a fault in this version, so there is nothing to mend. If you know of one, add a check that shows it, under Runs and checks.",
      } as const;
      const idle =
        tried.idle.length === 0
          ? ""
          : ` The change at line ${tried.idle.join(" and ")} is not needed for this fix: the smallest edit wins. Going back and leaving it out makes the fix cleaner.`;
      return reply(!["not mended", "no change", "nothing to mend"].includes(tried.result), words[tried.result] + idle);
    }
    case "back": {
      const done = await goBackTo(services(), found, revision, key);
      return done.ok ? reply(true, "This version is the current one again.") : reply(false, done.message);
    }
    case "intention":
      await setIntention(services(), key, formText(form, "intention"));
      return reply(true);
    case "check": {
      const kind = z.enum(["normal", "boundary", "erroneous"]).catch("normal").parse(form.get("kind"));
      const expected = formText(form, "expected");
      const surroundings = readSurroundings(form);
      if (surroundings === null) return reply(false, "A file's name is empty, leads out of the case's folder, or its text is too long. Nothing was changed.");
      await saveCheck(services(), found, key || null, {
        surroundings,
        input: formText(form, "input"),
        expected: expected === "" && form.get("expectsNothing") === null ? null : expected,
        kind,
        ignorePrompts: form.get("ignorePrompts") !== null,
      });
      return reply(true, "Check kept and run.");
    }
    case "remove check":
      await removeCheck(services(), found, key);
      return reply(true, "The check was taken away.");
    case "note":
      await setNote(services().database, found.key, formText(form, "note"));
      return reply(true, "Note kept.");
    case "worked":
      await setWorked(services().database, found.key, key, form.get("worked") === "yes");
      return reply(true);
    case "switch": {
      const lineOf = (name: string) => wholeNumber(form.get(name), { from: 0, to: 10_000_000, otherwise: 0 });
      const done = await switchPart(services(), found, revision, lineOf("from"), lineOf("to"));
      return done.ok ? reply(true, "Switched on, as a version of its own.") : reply(false, done.message);
    }
    case "warning": {
      const decision = z.enum(["mend", "accept", "hide"]).safeParse(form.get("decision"));
      await decideWarning(services().database, found.key, formText(form, "about"), decision.success ? decision.data : null, formText(form, "note").trim());
      return reply(true);
    }
    case "add output": {
      const text = formText(form, "text");
      if (text.trim() === "") return reply(false, "There is nothing in it yet.");
      await addOutput(services().database, found, { origin: formText(form, "origin").trim(), text });
      return reply(true, "Kept beside the others.");
    }
    case "verify":
      return (await verifyAgain(services(), found)) ? reply(true, "All checks pass: verified.") : reply(false, "Not all checks pass.");
    case "delete":
      await deleteCase(services().database, found.key);
      return redirect(`/?away=${found.key}`);
    case "restore":
      await restoreCase(services().database, found.key);
      return reply(true);
    default:
      return reply(false, "This is not known here.");
  }
}

/** The line numbers of a form, as JSON; null if they are none. */
function readLines(text: string): number[] | null {
  try {
    return lineListSchema.safeParse(JSON.parse(text)).data ?? null;
  } catch {
    return null;
  }
}

/** The files of a check's form: names, texts and which of them are to be absent. Null if one cannot be taken. */
function readSurroundings(form: FormData): Surroundings | null {
  const texts = form.getAll("fileText");
  const absent = new Set(form.getAll("fileAbsent"));
  const entries = form
    .getAll("fileName")
    .map((name, index) => [String(name).trim(), absent.has(String(index)) ? null : String(texts[index] ?? "").replaceAll("\r\n", "\n")] as const);
  return surroundingsSchema.safeParse(Object.fromEntries(entries)).data ?? null;
}

const noLines: ReadonlySet<number> = new Set();

const leaves: ReadonlyArray<{ leaf: Leaf; words: string }> = [
  { leaf: "messages", words: "Messages" },
  { leaf: "checks", words: "Runs and checks" },
  { leaf: "trace", words: "Dry run" },
  { leaf: "mend", words: "Mend" },
  { leaf: "versions", words: "Versions" },
];

export default function CasePage({ loaderData: view }: Route.ComponentProps) {
  const [query] = useSearchParams();
  const leaf = leafSchema.parse(query.get("leaf") ?? "checks");
  const away = useFetcher<CaseReply>();
  const mending = useFetcher<CaseReply>();
  const [standing, setStanding] = useState<number | null>(null);
  // Breakpoints belong to the text of one version.
  const [breakpoints, setBreakpoints] = useState<{ version: string; lines: ReadonlySet<number> }>({ version: "", lines: new Set() });
  const tabs = view.trace && breakpoints.version === view.trace.version ? breakpoints.lines : noLines;
  const [tabNote, setTabNote] = useState("");
  const toggleTab = (picked: number) => {
    if (!view.trace) return;
    // A line that holds nothing to run passes its tab on to the next one that does.
    const line = view.trace.runnable.find((each) => each >= picked);
    if (line === undefined) return setTabNote(`Nothing is run from line ${picked} on, so no breakpoint can stand there.`);
    const had = tabs.has(line);
    setBreakpoints({ version: view.trace.version, lines: new Set(had ? [...tabs].filter((each) => each !== line) : [...tabs, line]) });
    setTabNote(
      had
        ? `The breakpoint at line ${line} is taken away.`
        : line === picked
          ? `Breakpoint at line ${line}.`
          : `Line ${picked} holds nothing to run; the breakpoint is at line ${line}.`,
    );
  };
  return (
    <WordingContext value={findWording(view.wording)}>
      <article>
        <header className="mb-3 flex flex-wrap items-baseline gap-x-4">
          <h1>{view.title}</h1>
          <p className="note-small">
            {[
              view.language,
              view.studentLabel,
              view.courseName,
              `version ${view.versionNumber} of ${view.versions.length}`,
              view.encoding === "utf-8" ? null : `was ${view.encoding.toUpperCase()}`,
            ]
              .filter((part) => part)
              .join(" · ")}
          </p>
          <span className="ml-auto flex items-baseline gap-4">
            <Link className="link" to={`/cases/${view.key}/exercise`}>
              Make an exercise
            </Link>
            <Link className="link" to={`/print/cases/${view.key}`}>
              Print
            </Link>
            <away.Form method="post">
              <button className="press press-quiet" name="intent" value="delete" type="submit">
                Put away
              </button>
            </away.Form>
          </span>
        </header>
        {view.deleted && (
          <away.Form method="post" className="mb-3 border border-rule-strong bg-slip px-3 py-2">
            This case is put away.{" "}
            <button className="press" name="intent" value="restore" type="submit">
              Take it back
            </button>
          </away.Form>
        )}
        {view.newer && <p className="mb-3 border border-rule-strong bg-slip px-3 py-2">A newer version was handed in; it stands under Versions.</p>}
        <VerdictStrip key={`${view.revision} ${view.openLayer?.key}`} view={view} />
        <div className="mt-4 grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,30rem)]">
          <div className="grid gap-4">
            {leaf === "trace" && view.trace ? (
              <section className="leaf py-3" aria-label="The program">
                <Script
                  lines={view.trace.lines}
                  label="The program in the dry run"
                  next={standing}
                  tabs={tabs}
                  onPick={toggleTab}
                  pickHint="Set a breakpoint here, or take it away"
                />
                <p className="note-small px-3" role="status">
                  {tabNote || "Press a line to set a breakpoint (arrow keys and Enter do the same)."}
                </p>
              </section>
            ) : (
              <CaseScript view={view} />
            )}
            <LayerList view={view} />
            <HandedIn view={view} />
          </div>
          <section className="leaf" aria-label="Facing page">
            <nav aria-label="Leaves of the facing page" className="flex border-b border-rule-strong bg-leaf">
              {leaves
                .filter((each) => view.runs || !["trace", "mend"].includes(each.leaf))
                .map((each) => (
                  <Link
                    key={each.leaf}
                    to={`?leaf=${each.leaf}`}
                    preventScrollReset
                    aria-current={each.leaf === leaf ? "page" : undefined}
                    className={`border-r border-rule px-3 py-1.5 font-semibold ${each.leaf === leaf ? "bg-sheet" : "text-steel-deep hover:bg-slip"}`}
                  >
                    {each.words}
                  </Link>
                ))}
            </nav>
            <div className="p-3">
              {leaf === "messages" && <MessagesLeaf view={view} />}
              {leaf === "checks" && <ChecksLeaf view={view} />}
              {leaf === "trace" && <TraceLeaf view={view} onStand={setStanding} breakpoints={tabs} />}
              {leaf === "mend" && <MendLeaf key={`${view.versionNumber}`} view={view} fetcher={mending} />}
              {leaf === "versions" && <VersionsLeaf view={view} />}
            </div>
          </section>
        </div>
      </article>
    </WordingContext>
  );
}
