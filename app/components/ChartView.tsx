import { createElement, useEffect, useId, useMemo, useRef } from "react";
import { chartInWords, type DrawnPart, draw } from "../../core/flowcharts/drawing.ts";
import type { PlacedChart } from "../../core/flowcharts/layout.ts";

/** React's names of attributes of SVG that are written otherwise in a text. */
const reactNames: Readonly<Record<string, string>> = { "text-anchor": "textAnchor" };

function Part({ part }: { part: DrawnPart }) {
  const given = Object.fromEntries(
    Object.entries(part.attributes).map(([name, value]) => [reactNames[name] ?? name, value]),
  );
  return createElement(part.tag, { ...given, className: part.tag === "text" ? "chart-text" : undefined }, part.text);
}

/**
 * A flowchart as it was laid out. `standing` is the box that a dry run is about to go through: it has the nib and is kept in
 * sight. What the chart says stands beside it in words, for whoever cannot see it.
 */
export function ChartView({
  chart,
  title,
  standing = null,
}: {
  chart: PlacedChart;
  title: string;
  standing?: string | null;
}) {
  const groups = useMemo(() => draw(chart), [chart]);
  const words = useMemo(() => chartInWords(chart), [chart]);
  const id = useId();
  const place = useRef<SVGGElement>(null);
  const box = chart.boxes.find((each) => each.id === standing);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a box that is stood at anew comes into sight
  useEffect(() => {
    place.current?.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, [standing]);
  return (
    <>
      <svg
        viewBox={`0 0 ${chart.width} ${chart.height}`}
        width={chart.width}
        height={chart.height}
        className="flowchart mx-auto h-auto max-w-full"
        role="img"
        aria-labelledby={`${id}-title`}
        aria-describedby={`${id}-words`}
      >
        <title id={`${id}-title`}>{title}</title>
        {groups.map((group) => (
          <g
            key={`${group.is} ${group.id}`}
            className={
              group.is === "box" ? (group.id === standing ? "chart-box standing" : "chart-box") : "chart-arrow"
            }
            ref={group.id === standing ? place : undefined}
          >
            {group.parts.map((part, at) => (
              <Part key={at} part={part} />
            ))}
          </g>
        ))}
        {box && (
          <path
            className="chart-nib"
            d={`M${box.x - 12} ${box.y + box.height / 2 - 5} l10 5 l-10 5 l3 -5 Z`}
            data-at={box.id}
          />
        )}
      </svg>
      <ol id={`${id}-words`} className="sr-only">
        {words.map((each, at) => (
          <li key={at}>{each}</li>
        ))}
      </ol>
    </>
  );
}
