import { NavLink, Outlet } from "react-router";
import { BenchChoices } from "../components/BenchChoices.tsx";
import { KeysDialog } from "../components/KeysDialog.tsx";
import { BentNail } from "../components/marks.tsx";
import { LoadingStrip } from "../loading/LoadingStrip.tsx";
import { RunStrip } from "../runs/RunStrip.tsx";
import type { Route } from "./+types/layout.ts";

const places = [
  { to: "/", words: "Tray" },
  { to: "/collect", words: "Collect a class" },
  { to: "/casebook", words: "Casebook" },
  { to: "/sheets", words: "Sheets" },
  { to: "/lessons", words: "Lessons" },
  { to: "/courses", words: "Courses" },
  { to: "/languages", words: "Languages" },
  { to: "/backups", words: "Backups" },
];

export function loader({ context }: Route.LoaderArgs) {
  return { loading: context.services.loading.now() };
}

/** The frame of the teacher's pages. */
export default function Teacher({ loaderData }: Route.ComponentProps) {
  return (
    <>
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:bg-sheet focus:p-2">
        Skip to the page
      </a>
      <header className="no-print border-b-2 border-rule-strong bg-leaf">
        <nav
          aria-label="Places"
          className="mx-auto flex max-w-[90rem] flex-wrap items-center gap-x-6 gap-y-1 px-5 py-2"
        >
          <span className="flex items-center gap-1.5 text-lg font-bold">
            <BentNail /> Bent Nail
          </span>
          {places.map((place) => (
            <NavLink
              key={place.to}
              to={place.to}
              end={place.to === "/"}
              className={({ isActive }) =>
                `border-b-3 px-1 py-0.5 font-semibold ${isActive ? "border-ink" : "border-transparent text-steel-deep hover:border-rule-strong"}`
              }
            >
              {place.words}
            </NavLink>
          ))}
          <span className="ml-auto flex items-center gap-2">
            <BenchChoices />
            <KeysDialog />
          </span>
        </nav>
      </header>
      <LoadingStrip loading={loaderData.loading} />
      <main id="main" className="mx-auto max-w-[90rem] px-5 py-4">
        <Outlet />
      </main>
      <RunStrip address="/runs" />
    </>
  );
}
