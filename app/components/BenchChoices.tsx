import { useEffect, useState } from "react";

/** How a person wants to read: light or dark paper, and how large the type is. Kept in the browser. */
const place = "bent-nail bench";
const benches = ["day", "night"] as const;
const types = ["usual", "large", "larger"] as const;
type Bench = { bench: (typeof benches)[number]; type: (typeof types)[number] };

/** What is kept in this browser; what cannot be read is as usual. */
export function keptBench(text: string | null): Bench {
  const [bench, type] = (text ?? "").split(" ");
  return {
    bench: benches.find((each) => each === bench) ?? "day",
    type: types.find((each) => each === type) ?? "usual",
  };
}

/** The choice of paper and type, for this browser. */
export function BenchChoices() {
  const [chosen, setChosen] = useState<Bench | null>(null);
  useEffect(() => setChosen(keptBench(localStorage.getItem(place))), []);
  useEffect(() => {
    if (!chosen) return;
    document.documentElement.dataset.bench = chosen.bench;
    document.documentElement.dataset.type = chosen.type;
    localStorage.setItem(place, `${chosen.bench} ${chosen.type}`);
  }, [chosen]);
  const { bench, type } = chosen ?? { bench: "day", type: "usual" };
  const next = types[(types.indexOf(type) + 1) % types.length] ?? "usual";
  return (
    <span className="no-print inline-flex gap-2">
      <button
        type="button"
        className="press press-quiet text-sm"
        aria-pressed={bench === "night"}
        onClick={() => setChosen({ bench: bench === "night" ? "day" : "night", type })}
      >
        Night bench
      </button>
      <button
        type="button"
        className="press press-quiet text-sm"
        aria-label={`Type is ${type}; make it ${next}`}
        onClick={() => setChosen({ bench, type: next })}
      >
        {type === "larger" ? "Usual type" : "Larger type"}
      </button>
    </span>
  );
}
