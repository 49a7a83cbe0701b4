/**
 * How much each line speaks for being the fault by which runs went through it: failing ones, or passing ones, too. From 0 to
 * 1 (the coefficient of Ochiai, 1957, as Abreu, Zoeteweij and van Gemund took it for programs, 2006): failing runs through
 * the line, over the root of all failing runs times all runs through the line. Weak alone, since students' programs run
 * nearly every line: it decides between lines that are as likely otherwise.
 */
export function ochiai(runs: ReadonlyArray<{ passes: boolean; lines: ReadonlySet<number> }>): Map<number, number> {
  const failing = runs.filter((run) => !run.passes).length;
  const found = new Map<number, number>();
  if (failing === 0) return found;
  for (const line of new Set(runs.flatMap((run) => [...run.lines]))) {
    const through = runs.filter((run) => run.lines.has(line));
    const bad = through.filter((run) => !run.passes).length;
    found.set(line, bad / Math.sqrt(failing * through.length));
  }
  return found;
}
