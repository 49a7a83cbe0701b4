import { useEffect, useRef } from "react";
import type { Answer } from "../../server/casebook/questions.ts";

/** The colours of series, told apart in greyscale by their hatching as well. */
const inks = ["#27557f", "#855400", "#0a6560", "#4f5563"] as const;

type Place = [x: number, y: number];
/** Where the stroke of each series goes in its tile. */
const strokes: readonly [Stroke, Stroke, ...Stroke[]] = [
  [
    [0, 0],
    [8, 8],
  ],
  [
    [0, 8],
    [8, 0],
  ],
  [
    [0, 4],
    [8, 4],
  ],
  [
    [4, 0],
    [4, 8],
  ],
];
type Stroke = [from: Place, to: Place];

/** A hatching of an ink: each series has a direction of its own. */
function hatched(ink: string, series: number): CanvasPattern | string {
  if (series === 0) return ink;
  const tile = document.createElement("canvas");
  tile.width = tile.height = 8;
  const pen = tile.getContext("2d");
  if (!pen) return ink;
  pen.fillStyle = "#fcf8ef";
  pen.fillRect(0, 0, 8, 8);
  pen.strokeStyle = ink;
  pen.lineWidth = series === 3 ? 1 : 3;
  pen.beginPath();
  const [from, to] = strokes[series] ?? strokes[1];
  pen.moveTo(...from);
  pen.lineTo(...to);
  pen.stroke();
  return pen.createPattern(tile, "repeat") ?? ink;
}

/** Words of an axis, cut where they would leave no room for what is drawn. */
const short = (words: string) => (words.length > 34 ? `${words.slice(0, 33)}…` : words);

/** An answer drawn; the table below it says the same. Pressing a bar opens its cases. */
export function AnswerChart({
  answer,
  asks,
  onPress,
}: {
  answer: Answer;
  asks: string;
  onPress: (row: number) => void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const press = useRef(onPress);
  press.current = onPress;
  useEffect(() => {
    let chart: { destroy: () => void } | null = null;
    let gone = false;
    void import("chart.js/auto").then(({ default: Chart }) => {
      if (gone || !canvas.current) return;
      const isLine = answer.chart === "line";
      Chart.defaults.font.family = '"Source Sans 3", sans-serif';
      Chart.defaults.font.size = 14;
      Chart.defaults.color = "#1b2136";
      chart = new Chart(canvas.current, {
        type: isLine ? "line" : "bar",
        data: {
          labels: answer.rows.map(({ cells }) => short(String(cells[0]))),
          datasets: answer.series.map((column, series) => ({
            label: answer.columns[column],
            data: answer.rows.map(({ cells }) => Number(cells[column])),
            backgroundColor: isLine ? inks[series] : hatched(inks[series] ?? inks[0], series),
            borderColor: inks[series],
            borderWidth: isLine ? 3 : 1,
            pointRadius: isLine ? 5 : 0,
            maxBarThickness: 26,
          })),
        },
        options: {
          animation: false,
          maintainAspectRatio: false,
          indexAxis: isLine ? "x" : "y",
          onClick: (_event, pressed) => {
            if (pressed[0]) press.current(pressed[0].index);
          },
          plugins: { legend: { display: answer.series.length > 1, position: "bottom" } },
          scales: {
            x: { stacked: answer.chart === "stacked", beginAtZero: true, ticks: isLine ? {} : { precision: 0 } },
            y: { stacked: answer.chart === "stacked", beginAtZero: true },
          },
        },
      });
    });
    return () => {
      gone = true;
      chart?.destroy();
    };
  }, [answer]);
  const height = answer.chart === "line" ? 280 : Math.min(460, 90 + answer.rows.length * 30);
  return (
    <div className="leaf mb-3 p-3" style={{ height }}>
      <canvas ref={canvas} role="img" aria-label={`${asks} Drawn; the table below says the same.`} />
    </div>
  );
}
