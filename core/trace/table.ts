import type { Step, Trace, Value, Write } from "./trace.ts";

/** A column: a name in a frame kind. `key` is stable within one table; `title` is what stands over it. */
export type TableColumn = { key: string; title: string; scope: "global" | "function"; functionName?: string };

/**
 * A row: the values after line `line` ran. `cells` holds only what changed, by column key; `step` is the recorded step.
 */
export type TableRow = {
  step: number;
  line: number;
  file: number;
  depth: number;
  call?: string;
  raised?: string;
  cells: Readonly<Record<string, string>>;
  output: string;
  input?: string;
};

export type TraceTable = { columns: TableColumn[]; rows: TableRow[]; cut?: string };

/** What a table is made of: the recorded steps, and in words what is missing. */
export type TraceSteps = Pick<Trace, "steps" | "cut"> & Partial<Trace>;

/** "line": a row for every executed line. "change": only rows in which a column changes or something is printed. */
export type RowPolicy = "line" | "change";

type Stored = {
  type: string;
  shape: NonNullable<Value["shape"]>;
  items: Array<{ key?: string; value: Value }>;
  length?: number;
};

/** Remembers the contents of every changeable object as a run goes on, and writes values as a person does. */
export function createObjectStore() {
  const objects = new Map<number, Stored>();

  function learn(value: Value): void {
    for (const item of value.items ?? []) learn(item.value);
    if (value.id !== undefined && value.shape && value.items) {
      objects.set(value.id, {
        type: value.type,
        shape: value.shape,
        items: [...value.items],
        ...(value.length === undefined ? {} : { length: value.length }),
      });
    }
  }

  function apply(write: Write): void {
    if (write.value) learn(write.value);
    if (write.scope !== "object") return;
    const target = objects.get(write.owner);
    const [part] = write.path;
    if (!target || part === undefined) return;
    if (target.shape === "list") {
      if (part === "length") target.length = Number(write.value?.text ?? target.items.length);
      else if (typeof part === "number" && write.value) target.items[part] = { value: write.value };
      else if (typeof part === "number") target.items.splice(part, 1);
    } else {
      const at = target.items.findIndex((item) => item.key === String(part));
      if (!write.value) target.items.splice(at, at < 0 ? 0 : 1);
      else if (at < 0) target.items.push({ key: String(part), value: write.value });
      else target.items[at] = { key: String(part), value: write.value };
    }
  }

  function write(value: Value, open: ReadonlySet<number> = new Set()): string {
    if (value.text !== undefined) return value.text;
    const stored: Stored | undefined =
      value.id !== undefined
        ? objects.get(value.id)
        : value.shape && value.items
          ? { type: value.type, shape: value.shape, items: [...value.items] }
          : undefined;
    if (!stored) return "…";
    if (value.id !== undefined && open.has(value.id)) return "…";
    const inside = value.id === undefined ? open : new Set([...open, value.id]);
    const parts = stored.items.map((item) => {
      const text = write(item.value, inside);
      return item.key === undefined ? text : stored.shape === "object" ? `${item.key}=${text}` : `${item.key}: ${text}`;
    });
    const total = stored.length ?? value.length;
    if (total !== undefined && total > stored.items.length) parts.push(`… ${total} in all`);
    const joined = parts.join(", ");
    if (stored.shape === "list") return stored.type === "list" ? `[${joined}]` : `${stored.type}([${joined}])`;
    if (stored.shape === "tuple") return `(${joined}${parts.length === 1 ? "," : ""})`;
    if (stored.shape === "set") return parts.length === 0 ? "set()" : `{${joined}}`;
    if (stored.shape === "dictionary") return `{${joined}}`;
    return `${stored.type}(${joined})`;
  }

  return { learn, apply, write };
}

/**
 * The trace table of a recorded run: a column per variable in the order of the first value, an output column, blank
 * where nothing changed. A variable of a function has one column for all its calls. `columns` limits and orders the
 * variables by key.
 */
export function buildTable(
  trace: TraceSteps,
  options: { rows?: RowPolicy; columns?: readonly string[] } = {},
): TraceTable {
  const store = createObjectStore();
  const columns: TableColumn[] = [];
  const known = new Map<string, { column: TableColumn; value: Value | null; text: string }>();
  const frameNames = new Map<number, string>();
  const live = new Map<string, Map<number, { value: Value | null; text: string }>>();
  const rows: TableRow[] = [];
  const chosen = options.columns ? new Set(options.columns) : null;

  const columnKey = (write: Write): string =>
    write.scope === "global" ? String(write.path[0]) : `${frameNames.get(write.owner) ?? "?"}.${String(write.path[0])}`;

  for (const step of trace.steps) {
    if (step.call !== undefined) frameNames.set(step.frame, step.call);
    const cells: Record<string, string> = {};
    let objectsChanged = false;
    for (const write of step.writes) {
      store.apply(write);
      if (write.scope === "object") {
        objectsChanged = true;
        continue;
      }
      const key = columnKey(write);
      if (!known.has(key)) {
        const column: TableColumn =
          write.scope === "global"
            ? { key, title: String(write.path[0]), scope: "global" }
            : {
                key,
                title: String(write.path[0]),
                scope: "function",
                functionName: frameNames.get(write.owner) ?? "?",
              };
        columns.push(column);
        known.set(key, { column, value: null, text: "" });
      }
      const byFrame = live.get(key) ?? new Map<number, { value: Value | null; text: string }>();
      live.set(key, byFrame);
      const before = byFrame.get(write.owner)?.text;
      const text = write.value ? store.write(write.value) : "(gone)";
      byFrame.set(write.owner, { value: write.value, text });
      if (text !== before) cells[key] = text;
    }
    if (objectsChanged) {
      // An object may be named in several columns: every one that shows it changes.
      for (const [key, byFrame] of live) {
        for (const [owner, cell] of byFrame) {
          if (!cell.value || cell.value.text !== undefined) continue;
          const visible = owner === 0 || owner === step.frame;
          const text = store.write(cell.value);
          if (text !== cell.text && visible) {
            cell.text = text;
            cells[key] = text;
          }
        }
      }
    }
    rows.push(rowOf(step, cells, chosen));
  }
  const shown = chosen ? columns.filter((column) => chosen.has(column.key)) : columns;
  const kept =
    options.rows === "change"
      ? rows.filter((row) => Object.keys(row.cells).length > 0 || row.output !== "" || row.raised !== undefined)
      : rows;
  return { columns: shown, rows: kept, ...(trace.cut === undefined ? {} : { cut: trace.cut }) };
}

function rowOf(step: Step, cells: Record<string, string>, chosen: ReadonlySet<string> | null): TableRow {
  const own = chosen ? Object.fromEntries(Object.entries(cells).filter(([key]) => chosen.has(key))) : cells;
  return {
    step: step.index,
    line: step.line,
    file: step.file,
    depth: step.depth,
    cells: own,
    output: step.out ?? "",
    ...(step.call === undefined ? {} : { call: step.call }),
    ...(step.raised === undefined ? {} : { raised: `${step.raised.errorName}: ${step.raised.message}` }),
    ...(step.in === undefined ? {} : { input: step.in }),
  };
}
