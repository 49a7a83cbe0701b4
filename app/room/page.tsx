import { data, Form, Link } from "react-router";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import { liveView } from "../../server/sittings/live.ts";
import { presence } from "../../server/sittings/presence.ts";
import { findSitting } from "../../server/sittings/sittingStore.ts";
import { lastTry } from "../../server/sittings/tryStore.ts";
import { act } from "../actions.ts";
import { useReadAgainEvery } from "../components/useReadAgainWhile.ts";
import { SheetPlaces } from "../sheets/SheetPlaces.tsx";
import { clockTime } from "../sitting/TimeLeft.tsx";
import type { Route } from "./+types/page.ts";
import { roomActions } from "./actions/roomActions.ts";
import { LastRun } from "./LastRun.tsx";
import { LiveTable } from "./LiveTable.tsx";
import { RoomControls } from "./RoomControls.tsx";

export const meta: Route.MetaFunction = () => [{ title: "The room · Bent Nail" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const sheet = await findSheet(database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  const now = Date.now();
  const named = new URL(request.url).searchParams.get("run");
  const [rows, sitting] = await Promise.all([
    liveView(context.services, sheet, presence, now),
    named ? findSitting(database, named) : null,
  ]);
  const own = sitting && rows.some((row) => row.sitting === sitting.key) ? sitting : null;
  return {
    sheet,
    wording: sheet.wording,
    now: new Date(now).toISOString(),
    address: `${context.studentOrigin}/s/${sheet.code}`,
    rows,
    lastRun: own ? { label: own.label, run: await lastTry(database, own.key) } : null,
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const sheet = await findSheet(context.services.database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  return act(roomActions, request, { services: context.services, sheet });
}

export default function RoomPage({ loaderData, actionData }: Route.ComponentProps) {
  const { sheet, rows, address, now, lastRun } = loaderData;
  useReadAgainEvery(2500);
  const count = (state: string) => rows.filter((row) => row.state === state).length;
  const stuck = rows.filter((row) => row.stuck !== null).length;
  return (
    <div className="grid gap-4">
      <header className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1>The room: {sheet.title}</h1>
        <span className="note-small">
          {count("here") + count("behind")} here, {count("away")} away, {count("handed in")} handed in,{" "}
          {count("not begun")} not begun
          {stuck > 0 ? `; ${stuck} may be stuck` : ""} · at {clockTime(now)}
        </span>
        <Link className="link ml-auto" to={`/sheets/${sheet.key}/door`}>
          Show the way in, large
        </Link>
        <SheetPlaces sheet={sheet.key} here="/room" />
      </header>
      {sheet.state === "draft" ? (
        <p className="leaf p-4">Nobody can sit this sheet yet: set it for students first, on its own page.</p>
      ) : (
        <p>
          Students open <span className="font-mono">{address}</span> or give the code{" "}
          <strong className="font-mono">{sheet.code}</strong>.
        </p>
      )}
      {actionData?.message && (
        <p role={actionData.ok ? "status" : "alert"} className="font-semibold">
          {actionData.message}
        </p>
      )}
      <RoomControls sheet={sheet} now={now} />
      {rows.length === 0 ? (
        <p className="leaf p-4">
          No student is in the course of this sheet.{" "}
          <Form action={`/courses/${sheet.course}`} className="inline">
            <button className="press press-quiet" type="submit">
              Put them in
            </button>
          </Form>
        </p>
      ) : (
        <LiveTable rows={rows} state={sheet.state} now={now} />
      )}
      {lastRun && <LastRun {...lastRun} />}
    </div>
  );
}
