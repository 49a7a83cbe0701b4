import type { RecapClass } from "../../core/lessons/recap.ts";

/** A mistake that was met: its exercise, the last line of what was said, the lines before and after they were mended. */
export function MetExample({ example: { title, before, after, says } }: { example: RecapClass["examples"][number] }) {
  return (
    <div className="border-l-2 border-rule-strong pl-3">
      <p className="font-semibold">{title}</p>
      {says !== "" && <p className="font-mono text-[0.85em]">{says}</p>}
      <pre className="text-[0.85em] whitespace-pre-wrap">
        {before.map((line, index) => (
          <del key={index} className="block">
            {line}
          </del>
        ))}
        {after.map((line, index) => (
          <ins key={index} className="block no-underline">
            {line}
          </ins>
        ))}
      </pre>
    </div>
  );
}
