import type { TableColumn } from "./tableColumn.ts";
import type { Value } from "./trace.ts";

/** Elements of one variable that get a column at most. */
export const mostElements = 60;

/** How a language names an element: the position of the first one, and the brackets around it. */
export type Positions = { firstOf: (name: string, isText: boolean) => number; open: string; close: string };

const fromZero: Positions = { firstOf: () => 0, open: "[", close: "]" };

/** A part of a value with a column of its own: what stands behind the variable's key, its title, its place among the parts. */
type ElementPart = { suffix: string; title: string; order: number; value: Value };

/**
 * What a variable holds, part by part: its length (of lists, dictionaries and texts), then each element, character or field. A plain value that is no text
 * has no parts: it stands by itself.
 */
function partsOf(name: string, value: Value, positions: Positions): ElementPart[] {
  const isText = /^["']/.test(value.text ?? "");
  if (value.text !== undefined && !isText) return [{ suffix: "", title: name, order: -2, value }];
  const items: ReadonlyArray<{ key?: string; value: Value }> = isText
    ? [...(value.text ?? "").slice(1, -1)].map((sign) => ({ value: { type: "character", text: `'${sign}'` } }))
    : (value.items ?? []);
  const first = positions.firstOf(name, isText);
  const parts = items.slice(0, mostElements).map((item, place): ElementPart => {
    const title =
      value.shape === "object"
        ? `${name}.${item.key}`
        : `${name}${positions.open}${item.key ?? place + first}${positions.close}`;
    return { suffix: `/${item.key ?? place}`, title, order: place, value: item.value };
  });
  if (value.shape === "object") return parts;
  const length: Value = { type: "int", text: String(value.length ?? items.length) };
  return [{ suffix: "/length of it", title: `length of ${name}`, order: -1, value: length }, ...parts];
}

/** Writes variables part by part, in the place of their own columns. */
export function createElementColumns(
  keys: ReadonlySet<string>,
  write: (value: Value) => string,
  positions: Positions = fromZero,
) {
  const columns = new Map<string, { column: TableColumn; order: number }>();
  const standing = new Map<string, string>();
  const more = new Map<string, number>();

  return {
    has: (key: string) => keys.has(key),
    /** The cells of what changed in a variable, by the keys of its parts' columns; what is no more is "(gone)". */
    cellsOf: ({ key, title, ...rest }: TableColumn, value: Value | null): Record<string, string> => {
      const cells: Record<string, string> = {};
      const parts = value ? partsOf(title, value, positions) : [];
      const now = new Set<string>();
      for (const part of parts) {
        const own = `${key}${part.suffix}`;
        now.add(own);
        const text = write(part.value);
        if (!columns.has(own))
          columns.set(own, { column: { ...rest, key: own, title: part.title, of: key }, order: part.order });
        if (standing.get(own) !== text) cells[own] = text;
        standing.set(own, text);
      }
      for (const [own, { column }] of columns)
        if (column.of === key && !now.has(own) && (standing.get(own) ?? "(gone)") !== "(gone)") {
          cells[own] = "(gone)";
          standing.set(own, "(gone)");
        }
      const length = Math.max(value?.length ?? 0, value?.items?.length ?? 0, value?.text?.length ?? 0);
      if (length > mostElements && parts.length > 1) more.set(title, length);
      return cells;
    },
    /** The columns of a variable's parts, in the order of its parts. */
    of: (key: string): TableColumn[] =>
      [...columns.values()]
        .filter(({ column }) => column.of === key)
        .sort((one, other) => one.order - other.order)
        .map(({ column }) => column),
    /** In words what has no column because it is too much. */
    remarks: () =>
      [...more].map(([name, length]) => `Of ${name} the first ${mostElements} of ${length} elements have a column.`),
  };
}
