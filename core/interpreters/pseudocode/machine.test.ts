import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { CompiledProgram } from "./code.ts";
import { runMachine, usualMachineLimits } from "./machine.ts";
import { prepare } from "./run.ts";
import { type MachineState, newState } from "./state.ts";
import { programs } from "./testPrograms.ts";

function compiled(program: string): CompiledProgram {
  const prepared = prepare(program);
  if ("problems" in prepared) throw new Error(prepared.problems.map(({ says }) => says).join("\n"));
  return prepared.compiled;
}

/** Goes on with a run by some lines (or to its end); gives what it writes. */
function goOn(program: CompiledProgram, state: MachineState, lines = Number.POSITIVE_INFINITY): string {
  let written = "";
  const write = (text: string): void => {
    written += text;
  };
  const console = { write, typed: () => undefined };
  runMachine(program, state, console, usualMachineLimits, null, lines);
  return written;
}

const swap = `PROCEDURE swap(BYREF one, BYREF other)
kept ← one
one ← other
other ← kept
ENDPROCEDURE
loads ← [4, 9]
near ← 1
far ← 2
CALL swap(near, far)
CALL swap(loads[1], loads[2])
OUTPUT near, far, loads
`;

describe("a run can be stopped anywhere", () => {
  test("line by line it comes to the same as at once", () => {
    const program = compiled(swap);
    const [whole, slow] = [newState(program, ""), newState(program, "")];
    const atOnce = goOn(program, whole);
    let inSteps = "";
    for (let times = 0; times < 100 && slow.ended === null; times++) inSteps += goOn(program, slow, 1);
    expect(atOnce).toBe("21[9, 4]\n");
    expect(inSteps).toBe(atOnce);
    expect(slow.steps).toBe(whole.steps);
  });

  test("a copy goes on as the run itself, whatever is done to that; places given by reference are its own", () => {
    const program = compiled(swap);
    const state = newState(program, "");
    // Within the first swap, where a place of the whole program is given by reference.
    const before = goOn(program, state, 6);
    const copy = structuredClone(state);
    const rest = goOn(program, state);
    expect(before + rest).toBe("21[9, 4]\n");
    expect(before + goOn(program, copy)).toBe("21[9, 4]\n");
  });

  test("a value that is put in changes what follows and nothing before", () => {
    const program = compiled("load ← 3\nFOR i ← 1 TO 3\nload ← load + i\nOUTPUT load\nNEXT i\n");
    const state = newState(program, "");
    const before = goOn(program, state, 4);
    const other = structuredClone(state);
    other.globals[program.globals.indexOf("load")] = 100;
    expect(before).toBe("4\n");
    expect(goOn(program, state)).toBe("6\n9\n");
    expect(goOn(program, other)).toBe("102\n105\n");
  });

  test("programs by chance: stopped and copied at any line they print what they print at once", () => {
    fc.assert(
      fc.property(programs, fc.nat({ max: 60 }), (text, lines) => {
        const program = compiled(text);
        const [whole, stopped] = [newState(program, ""), newState(program, "")];
        const expected = goOn(program, whole);
        const before = goOn(program, stopped, lines);
        const copy = structuredClone(stopped);
        expect(before + goOn(program, copy)).toBe(expected);
        expect(before + goOn(program, stopped)).toBe(expected);
      }),
      { numRuns: 60 },
    );
  });

  test("a recursion without end stops by itself, and uses nothing of our own stack", () => {
    const program = compiled("PROCEDURE down(n)\nCALL down(n + 1)\nENDPROCEDURE\nCALL down(1)\n");
    const state = newState(program, "");
    goOn(program, state);
    expect(state.ended).toMatchObject({ errorName: "too many calls", line: 2 });
    expect(state.frames).toHaveLength(5000);
  });
});
