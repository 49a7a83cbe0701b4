import { Link } from "react-router";

const places = [
  { at: "/room", words: "The room" },
  { at: "/marks", words: "Mark book" },
  { at: "/results", words: "Results" },
  { at: "", words: "The sheet" },
] as const;

/** The pages of a sheet that is set, but for the one that this is (`here`). */
export function SheetPlaces({ sheet, here }: { sheet: string; here: (typeof places)[number]["at"] }) {
  return (
    <nav aria-label="Of this sheet" className="flex flex-wrap gap-x-4">
      {places
        .filter(({ at }) => at !== here)
        .map(({ at, words }) => (
          <Link key={at} className="link" to={`/sheets/${sheet}${at}`}>
            {words}
          </Link>
        ))}
    </nav>
  );
}
