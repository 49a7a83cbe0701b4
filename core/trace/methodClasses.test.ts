import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { withClassNames } from "./methodClasses.ts";
import type { Step } from "./trace.ts";

const entered = (line: number, call: string, file = 0): Step => ({
  ...{ index: 0, line, file, frame: 1, depth: 1, call, writes: [] },
});

/** Programs with two classes, and the lines at which functions of theirs are entered. */
const programs: Record<
  string,
  { text: string; calls: ReadonlyArray<[line: number, call: string, of: string | undefined]> }
> = {
  python: {
    text: `class Ferry:
    def board(self):
        def count():
            return 1
        return count()

class Pier:
    class Berth:
        def board(self): return 2

def board():
    return 3
`,
    calls: [
      [2, "board", "Ferry"],
      [3, "count", undefined],
      [9, "board", "Berth"],
      [11, "board", undefined],
    ],
  },
  java: {
    text: `class Pier {
    Pier(int berths) { }
    void board() { }
}
public class Deck {
    static void board() {
    }
}
`,
    calls: [
      [2, "Pier", "Pier"],
      [3, "board", "Pier"],
      [6, "board", "Deck"],
      [8, "board", undefined],
    ],
  },
  csharp: {
    text: `class Ferry { public void Board() { } }
class Pier {
    public void Board()
    {
    }
}
`,
    calls: [
      [1, "Board", "Ferry"],
      [3, "Board", "Pier"],
    ],
  },
  pascal: {
    text: `program ferries;
type
  TFerry = class
    procedure Board;
  end;
procedure TFerry.Board;
begin
end;
procedure Sail;
begin
end;
begin
end.
`,
    calls: [
      [6, "Board", "TFerry"],
      [6, "BOARD", "TFerry"],
      [9, "Sail", undefined],
    ],
  },
};

test.each(Object.entries(programs))("%s: a step that enters a method says whose it is", (id, { text, calls }) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const steps = calls.map(([line, call]) => entered(line, call));
  expect(withClassNames(language, [text], steps).map((step) => step.className)).toEqual(calls.map(([, , of]) => of));
  // A file that is not read has no classes; steps without calls stay the very same.
  expect(withClassNames(language, [text], [entered(2, "board", 5)])[0]?.className).toBeUndefined();
  const plain: Step[] = [{ index: 0, line: 1, file: 0, frame: 0, depth: 0, writes: [] }];
  expect(withClassNames(language, [text], plain)).toBe(plain);
});
