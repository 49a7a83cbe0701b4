import type { ReactNode } from "react";

/** The body of a long table of which only some rows are drawn: spaces (pixels) stand for those before and behind them. */
export function SpacedBody({ before, behind, children }: { before: number; behind: number; children: ReactNode }) {
  const space = (height: number) =>
    height > 0 && (
      <tr>
        <td className="trace-space" style={{ height }} />
      </tr>
    );
  return (
    <tbody>
      {space(before)}
      {children}
      {space(behind)}
    </tbody>
  );
}
