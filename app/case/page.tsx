import { useCallback, useEffect, useRef, useState } from "react";
import { data, Link, useFetcher, useNavigate, useParams, useRevalidator, useSearchParams } from "react-router";
import * as z from "zod";
import { findCase } from "../../server/cases/caseStore.ts";
import { readWalkPlace } from "../../server/cases/walkStore.ts";
import { act, type Reply, readAnewWhenStale } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import { useLetterKeys } from "../components/useLetterKeys.ts";
import { useSubmitInTurn } from "../components/useSubmitInTurn.ts";
import { useBreakpoints, useOnly } from "../dryRun/useBreakpoints.ts";
import { wholeNumber } from "../forms.ts";
import type { Route } from "./+types/page.ts";
import { caseActions } from "./actions/list.ts";
import { CardLeaf } from "./CardLeaf.tsx";
import { ChartLeaf } from "./ChartLeaf.tsx";
import { ChecksLeaf } from "./ChecksLeaf.tsx";
import { type CaseView, caseView, type Leaf } from "./caseView.ts";
import { FaultFields } from "./FaultFields.tsx";
import { FaultWords } from "./FaultWords.tsx";
import { HandedIn } from "./HandedIn.tsx";
import { HandTableLeaf } from "./HandTableLeaf.tsx";
import { LayerList } from "./LayerList.tsx";
import { leafNames, useLeafAddress } from "./leafAddress.ts";
import { MendLeaf } from "./MendLeaf.tsx";
import { MessagesLeaf } from "./MessagesLeaf.tsx";
import { type Narrowing, NarrowLeaf } from "./NarrowLeaf.tsx";
import { PatternPart } from "./PatternPart.tsx";
import { ProgramPart } from "./ProgramPart.tsx";
import { proposalOf } from "./proposal.ts";
import { CaseRevision } from "./Revision.tsx";
import { SeenLeaf } from "./SeenLeaf.tsx";
import { StructureLeaf } from "./StructureLeaf.tsx";
import { TraceLeaf } from "./TraceLeaf.tsx";
import { rowsSchema } from "./traceView.ts";
import { useSearch } from "./useSearch.ts";
import { VerdictStrip } from "./VerdictStrip.tsx";
import { VersionsLeaf } from "./VersionsLeaf.tsx";
import { WalkStrip } from "./WalkStrip.tsx";
import { WhichLanguage } from "./WhichLanguage.tsx";
import { alikeAddress, walkAddress, walkHome } from "./walkAddress.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${(loaderData as CaseView | undefined)?.title ?? "Case"} · Bent Nail` },
];

const leafSchema = z.enum(leafNames).catch("checks");

const depthSchema = z.enum(["short", "full"]).nullable().catch(null);

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const query = new URL(request.url).searchParams;
  const leaf = leafSchema.parse(query.get("leaf") ?? "checks");
  // Only the list of versions shows the texts of all of them.
  const wanted = leaf === "versions" ? "all" : [query.get("version") ?? ""];
  const found = await findCase(context.services.database, params.caseKey, wanted);
  if (!found) throw data("There is no such case. It may have been put away for good.", { status: 404 });
  return caseView(context.services, found, {
    leaf,
    check: query.get("check"),
    version: query.get("version"),
    rows: rowsSchema.parse(query.get("rows")),
    form: query.get("form"),
    through: readWalkPlace(query.get("through")),
    depth: depthSchema.parse(query.get("depth")),
    from: wholeNumber(query.get("from"), { from: 0, to: 1_000_000, otherwise: 0 }),
  });
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const found = await findCase(context.services.database, params.caseKey);
  if (!found) throw data("There is no such case.", { status: 404 });
  return act(caseActions, request, { services: context.services, who: context.who, found });
}

export const shouldRevalidate = readAnewWhenStale;

const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" });

const leaves: ReadonlyArray<{ leaf: Leaf; words: string }> = [
  { leaf: "messages", words: "Messages" },
  { leaf: "checks", words: "Checks" },
  { leaf: "trace", words: "Dry run" },
  { leaf: "table", words: "Table" },
  { leaf: "chart", words: "Chart" },
  { leaf: "mend", words: "Mend" },
  { leaf: "narrow", words: "Narrow" },
  { leaf: "structure", words: "Structure" },
  { leaf: "versions", words: "Versions" },
  { leaf: "seen", words: "Seen" },
  { leaf: "card", words: "Card" },
];

export default function CasePage({ loaderData: view }: Route.ComponentProps) {
  // An answer that comes while somebody goes on may bring the case before it back to the page: the address decides.
  const { caseKey } = useParams();
  const { revalidate, state } = useRevalidator();
  const isOther = caseKey !== undefined && caseKey !== view.key;
  useEffect(() => {
    if (isOther && state === "idle") void revalidate();
  }, [isOther, state, revalidate]);
  // Nothing of one case (what was said, marked or found) is to be seen at the next one.
  return <OneCase key={view.key} view={view} />;
}

function OneCase({ view }: { view: CaseView }) {
  const [query] = useSearchParams();
  const leaf = leafSchema.parse(query.get("leaf") ?? "checks");
  const recordFirst = view.isMended && query.get("leaf") === null;
  const isRun = view.runs && !view.onlyRead;
  const found = useSearch(view);
  const away = useFetcher<Reply>();
  const mending = useFetcher<Reply>();
  const article = useRef<HTMLElement>(null);
  const [choosing, setChoosing] = useState("");
  const layer = `${view.key} ${view.openLayer?.key} ${view.versionNumber}`;
  const changing = choosing === layer;
  const setChanging = (now: boolean) => setChoosing(now ? layer : "");
  const [fielding, setFielding] = useState(false);
  const fieldsReached = useCallback(() => setFielding(false), []);
  const proposal = proposalOf(view, found);
  const navigate = useNavigate();
  const leafAddress = useLeafAddress();
  const through = query.get("through") ?? "";
  const home = walkHome(through);
  // Whoever works through cases by keys goes on from the script of each; where what had the focus has gone, too.
  useEffect(() => {
    if (through === "" || (document.activeElement !== document.body && document.activeElement !== null)) return;
    const line = article.current?.querySelector<HTMLElement>('[data-line][tabindex="0"]');
    (line ?? article.current)?.focus({ preventScroll: true });
  });
  const { submit } = useSubmitInTurn(mending, view.revision);
  useLetterKeys(article, {
    a: () =>
      proposal &&
      submit({
        ...{ intent: "accept", class: proposal.class, kind: proposal.kind ?? "" },
        ...{ lines: JSON.stringify(proposal.lines), fix: proposal.fix?.text ?? "" },
      }),
    c: () => setChanging(true),
    d: () => setFielding(true),
    f: () => void navigate(leafAddress("mend"), { preventScrollReset: true }),
    ...(view.walk
      ? {
          n: () => void navigate(view.walk?.next ? walkAddress(view.walk.next, through) : home),
          g: () => (view.walk?.left ?? 0) > 1 && void navigate(alikeAddress(through)),
          b: () => view.walk?.former && void navigate(walkAddress(view.walk.former, through)),
        }
      : {}),
    u: () => (view.undoable !== null || mending.state !== "idle") && submit({ intent: "undo" }),
  });
  const [narrowing, setNarrowing] = useState<Narrowing>({ line: null, probes: [] });
  const [standing, setStanding] = useState<number | null>(null);
  const [breakpoints, setBreakpoints] = useBreakpoints(view.trace?.version ?? "");
  const [only, onOnly] = useOnly();
  return (
    <CaseRevision value={view.revision}>
      <article ref={article} tabIndex={-1} data-case={view.key} className="outline-none">
        <WalkStrip view={view} />
        <header className="mb-3 flex flex-wrap items-baseline gap-x-4">
          <h1>{view.title}</h1>
          <p className="note-small">
            {[
              view.language,
              view.studentLabel,
              view.courseName,
              `version ${view.versionNumber} of ${view.versions.length}`,
              `collected ${day.format(new Date(view.collected))}`,
              view.encoding === "utf-8" ? null : `was ${view.encoding.toUpperCase()}`,
            ]
              .filter((part) => part)
              .join(" · ")}
          </p>
          <span className="ml-auto flex items-baseline gap-4">
            <Link className="link" to={`/cases/${view.key}/exercise`}>
              Make an exercise
            </Link>
            <Link className="link" to={`/cases/${view.key}/present`}>
              Present
            </Link>
            <Link className="link" to={`/print/cases/${view.key}`}>
              Print
            </Link>
            {view.undoable !== null && (
              <button
                type="button"
                className="press press-quiet"
                title={`Undo: ${view.undoable}`}
                disabled={mending.state !== "idle"}
                onClick={() => submit({ intent: "undo" })}
              >
                Undo <kbd>U</kbd>
              </button>
            )}
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
        <WhichLanguage view={view} />
        {view.newer && (
          <p className="mb-3 border border-rule-strong bg-slip px-3 py-2">
            A newer version was handed in; it stands under Versions.
          </p>
        )}
        <VerdictStrip
          key={`${view.openLayer?.key} ${view.versionNumber}`}
          view={view}
          proposal={proposal}
          accepting={mending}
          changing={changing}
          onChange={setChanging}
        />
        {/* A mended case opens with its record; where a leaf is chosen, that is what is to be in sight. */}
        {recordFirst && (
          <div className="mt-4">
            <LayerList view={view} />
          </div>
        )}
        {leaf !== "mend" && <Said reply={settled(mending)} className="mt-2" />}
        <div className="mt-4 grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,30rem)]">
          <div className="grid gap-4">
            <ProgramPart
              {...{ view, found, leaf, standing, breakpoints, narrowing }}
              onBreakpoints={setBreakpoints}
              onOnly={onOnly}
              onNarrow={setNarrowing}
            />
            {(view.openLayer || view.fields || view.patterns.layer) && (
              <section className="leaf grid gap-2 p-3" aria-label="The fault in words">
                <PatternPart view={view} found={found} />
                <FaultFields view={view} changing={fielding} onDone={fieldsReached} />
                {view.openLayer && <FaultWords key={view.revision} layer={view.openLayer} />}
              </section>
            )}
            {!recordFirst && <LayerList view={view} />}
            <HandedIn view={view} />
          </div>
          <section className="leaf" aria-label="Facing page">
            <nav aria-label="Leaves of the facing page" className="flex border-b border-rule-strong bg-leaf">
              {leaves
                .filter(({ leaf: each }) => each !== "structure" || leaf === "structure")
                .filter(({ leaf: each }) => each !== "chart" || view.charts !== undefined)
                .filter(({ leaf: each }) => (isRun ? each !== "table" : !["trace", "mend", "narrow"].includes(each)))
                .map((each) => (
                  <Link
                    key={each.leaf}
                    to={leafAddress(each.leaf)}
                    preventScrollReset
                    aria-current={each.leaf === leaf ? "page" : undefined}
                    className={`border-r border-rule px-1.5 py-1.5 text-[0.92rem] font-semibold whitespace-nowrap ${each.leaf === leaf ? "bg-sheet" : "text-steel-deep hover:bg-slip"}`}
                  >
                    {each.words}
                  </Link>
                ))}
            </nav>
            <div className="p-3">
              {leaf === "messages" && <MessagesLeaf view={view} />}
              {leaf === "checks" && <ChecksLeaf view={view} />}
              {leaf === "trace" && (
                <TraceLeaf view={view} onStand={setStanding} breakpoints={breakpoints.lines} only={only} />
              )}
              {leaf === "mend" && (
                <MendLeaf key={`${view.versionNumber}`} view={view} fetcher={mending} found={found} />
              )}
              {leaf === "table" && <HandTableLeaf view={view} />}
              {leaf === "narrow" && <NarrowLeaf view={view} narrowing={narrowing} onChange={setNarrowing} />}
              {leaf === "chart" && <ChartLeaf view={view} />}
              {leaf === "structure" && <StructureLeaf view={view} />}
              {leaf === "versions" && <VersionsLeaf view={view} />}
              {leaf === "seen" && <SeenLeaf view={view} />}
              {leaf === "card" && <CardLeaf view={view} />}
            </div>
          </section>
        </div>
      </article>
    </CaseRevision>
  );
}
