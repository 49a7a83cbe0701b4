import { useEffect, useState } from "react";
import * as z from "zod";
import { type LabRow, labRowSchema } from "./labReply.ts";

const most = 100;

/** Rows that this browser keeps under a name, how to add one, and how to begin with none; without room it keeps them while the page is open. */
export function useKeptRows(name: string): [LabRow[], (row: LabRow) => void, () => void] {
  const [rows, setRows] = useState<LabRow[]>([]);
  const key = `bent-nail lab ${name}`;
  useEffect(() => setRows(readRows(key)), [key]);
  const keep = (next: LabRow[]) => {
    setRows(next);
    try {
      localStorage.setItem(key, JSON.stringify(next));
    } catch {
      // Full, or switched off: the table stays on the page.
    }
  };
  return [rows, (row) => keep([...rows, row].slice(-most)), () => keep([])];
}

function readRows(key: string): LabRow[] {
  try {
    return z.array(labRowSchema).parse(JSON.parse(localStorage.getItem(key) ?? "[]"));
  } catch {
    return [];
  }
}
