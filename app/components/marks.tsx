import { createContext, type ReactNode, useContext } from "react";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import { className, findWording, inCourseWords, type Wording } from "../../core/wording/wordings.ts";

/** A drawn mark; `label` is its text for screen readers, none if words stand beside it. */
function Mark({ label, className: classes, children }: { label?: string; className?: string; children: ReactNode }) {
  return (
    <svg
      viewBox="0 0 24 24"
      className={`inline-block h-5 w-5 shrink-0 ${classes ?? ""}`}
      fill="none"
      stroke="currentColor"
      strokeWidth="2.2"
      strokeLinecap="round"
      strokeLinejoin="round"
      role={label ? "img" : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
    >
      {children}
    </svg>
  );
}

export function BentNail({ label }: { label?: string }) {
  return (
    <Mark label={label}>
      <path d="M6 4h7M9.5 4v7l5 3.5-1 5.5" />
    </Mark>
  );
}

export function StraightNail({ label }: { label?: string }) {
  return (
    <Mark label={label} className="text-graphite">
      <path d="M8 4h8M12 4v16" />
    </Mark>
  );
}

/** Points at the line that the tool named. */
export function Chevron({ label }: { label?: string }) {
  return (
    <Mark label={label} className="text-graphite">
      <path d="M9 5l7 7-7 7" strokeWidth="1.6" />
    </Mark>
  );
}

/** Stands beside the line that is about to run. */
export function PenNib({ label }: { label?: string }) {
  return (
    <Mark label={label}>
      <path d="M3 7h7l11 5-11 5H3zM10 12h5" strokeWidth="1.8" />
    </Mark>
  );
}

/** A paper tab on the page's edge, square-cornered: a breakpoint. */
export function PaperTab({ label }: { label?: string }) {
  return (
    <Mark label={label} className="text-plum">
      <path d="M2 7h15v10H2z" fill="currentColor" strokeLinejoin="miter" />
    </Mark>
  );
}

const classMarks: Record<FaultClass | "open", { colour: string; shape: ReactNode }> = {
  syntax: { colour: "text-indigo", shape: <path d="M19 5H5v14h14" /> },
  runtime: { colour: "text-ochre", shape: <path d="M2 17h7l1.6-4.5M13.4 11.5L15 7h7" strokeWidth="2.4" /> },
  logic: {
    colour: "text-teal",
    shape: <path d="M11 4a8 8 0 0 0 0 16M14 5a8 8 0 0 1 0 14" transform="rotate(12 12 12)" />,
  },
  open: { colour: "text-graphite", shape: <rect x="4" y="4" width="16" height="16" strokeDasharray="1 4" /> },
};

/** The names that the page's course uses for the classes. */
export const WordingContext = createContext<Wording>(findWording("three"));

/** The words for a class on this page. */
export function useClassWords(): (of: FaultClass | null, kind?: "form" | "meaning" | null) => string {
  const wording = useContext(WordingContext);
  return (of, kind) => (of === null ? "not decided yet" : className(wording, of, kind));
}

/** Sentences of ours in the words of this page's course; never for what a person wrote. */
export function useCourseWords(): (text: string) => string {
  const wording = useContext(WordingContext);
  return (text) => inCourseWords(wording, text);
}

/** The mark of a class with its words beside it. */
export function ClassMark({
  of,
  kind,
  words = true,
}: {
  of: FaultClass | null;
  kind?: "form" | "meaning" | null;
  words?: boolean;
}) {
  const { colour, shape } = classMarks[of ?? "open"];
  const name = useClassWords()(of, kind);
  return (
    <span className={`inline-flex items-center gap-1.5 font-semibold ${colour}`}>
      <Mark label={words ? undefined : name}>{shape}</Mark>
      {words && name}
    </span>
  );
}
