import { NavLink, useSearchParams } from "react-router";

const tabs = [
  { to: "/casebook", words: "Cases" },
  { to: "/casebook/questions", words: "Questions" },
  { to: "/casebook/seen", words: "Seen before" },
  { to: "/patterns", words: "Patterns" },
];

/** The parts of the Casebook; what is narrowed goes along between its cases and its questions. */
export function CasebookTabs() {
  const [query] = useSearchParams();
  const kept = new URLSearchParams([...query].filter(([name]) => !["ask", "page", "away"].includes(name))).toString();
  return (
    <nav aria-label="Parts of the Casebook" className="mb-3 flex border-b border-rule-strong">
      {tabs.map(({ to, words }, at) => (
        <NavLink
          key={to}
          to={at < 2 && kept ? `${to}?${kept}` : to}
          end={at === 0}
          className={({ isActive }) =>
            `border-x border-t px-3 py-1 font-semibold ${isActive ? "border-rule-strong bg-sheet" : "border-transparent text-steel-deep hover:bg-slip"}`
          }
        >
          {words}
        </NavLink>
      ))}
    </nav>
  );
}
