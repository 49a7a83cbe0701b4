import type { Language, LoopCondition } from "../languages/language.ts";
import { tokensByLine } from "../languages/lexical.ts";
import type { Token } from "../languages/token.ts";
import { createObjectStore } from "../trace/objectStore.ts";
import type { Step, Trace, Write } from "../trace/trace.ts";
import { sameRounds } from "./sameRounds.ts";

/**
 * Why a loop is taken not to end, in words, with the line of its header. `proof`: it cannot end; else the words claim no
 * more than what was seen. `passesLeft`: after so many more passes at most a number leaves the range of its type, and
 * the loop may end.
 */
export type EndlessFinding = {
  ground: "condition never changes" | "moves away" | "state repeats";
  line: number;
  text: string;
  proof: boolean;
  passesLeft?: bigint;
};

/** Passes that a machine may make while somebody waits: all that 32 bits count, with room. */
const nearPasses = 5_000_000_000n;

/** Seconds of processor time that a run may have whose loop is near the end of a number's range. */
export const longRunSeconds = 60;

/**
 * True where a run of so many milliseconds has not had the time in which its loop may come to its end by itself: it is to
 * go on before anything is said.
 */
export function isToGoOn({ passesLeft }: EndlessFinding, milliseconds: number): boolean {
  return passesLeft !== undefined && passesLeft <= nearPasses && milliseconds < longRunSeconds * 900;
}

/** A count with its thousands apart, as people read it. */
function spaced(count: number | bigint): string {
  return String(count).replace(/\B(?=(\d{3})+$)/g, " ");
}

/** Passes that must have been recorded before a loop is judged. */
const leastPasses = 50;
/** Passes whose states are compared with one another. */
const comparedPasses = 1000;

/** The value that a name or number of a condition has, as a number; NaN if it is none. */
function numberOf(side: string, values: ReadonlyMap<string, string>): number {
  return /^[\d.]/.test(side) ? Number(side) : Number(values.get(side) ?? Number.NaN);
}

/**
 * For each pass of the loop at `header` in the call `frame` the values of the global and own names as text, uncut; null if
 * a value was cut or not followed.
 */
function statesAtHeader(trace: Trace, header: number, frame: number): Array<Map<string, string>> | null {
  const store = createObjectStore();
  const values = new Map<string, { value: Parameters<typeof store.write>[0] } | null>();
  const states: Array<Map<string, string>> = [];
  for (const step of trace.steps) {
    if (step.line === header && step.file === 0) {
      if (step.frame === frame && states.length < comparedPasses) {
        const state = new Map<string, string>();
        for (const [name, held] of values) if (held) state.set(name, store.write(held.value));
        if ([...state.values()].some((text) => text.includes("…"))) return null;
        states.push(state);
      }
    }
    for (const write of step.writes) {
      store.apply(write);
      if (write.scope !== "object" && (write.scope === "global" || write.owner === frame))
        values.set(`${write.scope} ${String(write.path[0])}`, write.value ? { value: write.value } : null);
    }
  }
  return states;
}

/** The type that a name's last recorded value has; "" if it never got one in the main file's frame. */
function typeOf(trace: Trace, name: string): string {
  const written = trace.steps.findLast((step) =>
    step.writes.some((write) => write.path.length === 1 && write.path[0] === name && write.value),
  );
  return written?.writes.findLast((write) => write.path.length === 1 && write.path[0] === name)?.value?.type ?? "";
}

const whole = /^-?\d+$/;

/**
 * Passes until a number of the comparison leaves the range of its type at the pace of the last recorded pass; fewer if it
 * gets faster. Undefined where its type has no range that is known, or it gets slower.
 */
function passesUntilItTurns(
  language: Language,
  trace: Trace,
  states: ReadonlyArray<ReadonlyMap<string, string>>,
  { left, operator, right }: NonNullable<LoopCondition["comparison"]>,
): bigint | undefined {
  const apart = differences(states, { left, operator, right }).at(-1) ?? Number.NaN;
  const turns = [left, right].flatMap((name): bigint[] => {
    const range = language.numberRanges[typeOf(trace, name)];
    const values = states.map((state) => [...state].find(([key]) => key.split(" ")[1] === name)?.[1] ?? "");
    if (!range || !values.every((text) => whole.test(text))) return [];
    const [first = 0n, second = 0n] = values.map(BigInt);
    const [before = 0n, last = 0n] = values.slice(-2).map(BigInt);
    const pace = last - before;
    const size = (value: bigint) => (value < 0n ? -value : value);
    if (pace === 0n || size(pace) < size(second - first)) return [];
    // By even steps an odd number is never met, however often it comes round.
    if (operator === "!=" && Number.isInteger(apart) && BigInt(apart) % (pace & -pace) !== 0n) return [];
    return [(pace > 0n ? range[1] - last : last - range[0]) / size(pace) + 1n];
  });
  return turns.sort((one, other) => Number(one - other))[0];
}

/**
 * No name of the condition got a value, and no object that one of them holds changed. A name that the call `frame` has of
 * its own is not another call's of the same name; one that it does not have may be a field of any object.
 */
function conditionNeverChanges(trace: Trace, round: readonly Step[], frame: number, condition: LoopCondition): boolean {
  const isNamed = (write: Write) => condition.names.includes(String(write.path[0]));
  const isOwn = (write: Write) => write.scope === "frame" && write.owner === frame;
  const named = trace.steps.flatMap((step) => step.writes.filter((write) => write.path.length === 1 && isNamed(write)));
  const own = new Set(named.filter(isOwn).map((write) => String(write.path[0])));
  const holdsObjects = named.some((write) => write.scope !== "object" && write.value?.id !== undefined);
  return !round.some((step) =>
    step.writes.some((write) => {
      if (write.scope === "object" && holdsObjects) return true;
      return isNamed(write) && (isOwn(write) || !own.has(String(write.path[0])));
    }),
  );
}

/** True where the header itself gives a side of its comparison the first value: its first state is from before that. */
function beginsHere(header: Step | undefined, { left, right }: NonNullable<LoopCondition["comparison"]>): boolean {
  return header?.writes.some(({ path }) => path.length === 1 && (path[0] === left || path[0] === right)) === true;
}

/** How far the right side of a comparison is above the left one at each pass; NaN where one of them is no number. */
function differences(
  states: ReadonlyArray<ReadonlyMap<string, string>>,
  { left, right }: NonNullable<LoopCondition["comparison"]>,
): number[] {
  return states.map((state) => {
    const plain = new Map([...state].map(([name, text]) => [name.split(" ")[1] ?? "", text]));
    return numberOf(right, plain) - numberOf(left, plain);
  });
}

/** The passes from the one on at which two sides that must become equal came nearest: empty where they were equal, or changed sides behind it. */
function passedBy(found: readonly number[]): number[] {
  const sizes = found.map(Math.abs);
  const nearest = sizes.reduce((best, size, at) => (size <= (sizes[best] ?? 0) ? at : best), 0);
  const behind = found.slice(nearest + (nearest + 1 < found.length ? 1 : 0));
  const isOneSide = behind.every((each) => each !== 0 && Math.sign(each) === Math.sign(behind[0] ?? 0));
  return isOneSide && !sizes.includes(0) ? behind.map(Math.abs) : [];
}

/** Over all recorded passes (where two sides must become equal: since they came nearest) they only move away from where the comparison fails. */
function movesAway(
  states: ReadonlyArray<ReadonlyMap<string, string>>,
  comparison: NonNullable<LoopCondition["comparison"]>,
): boolean {
  const { operator } = comparison;
  const found = differences(states, comparison);
  // How far the comparison is from failing: it ends when this falls to nothing.
  const distances =
    operator === "!=" ? passedBy(found) : operator.startsWith("<") ? found : found.map((difference) => -difference);
  return (
    distances.length >= leastPasses &&
    distances.every(
      (distance, pass) => !Number.isNaN(distance) && (pass === 0 || distance >= (distances[pass - 1] ?? 0)),
    ) &&
    (distances.at(-1) ?? 0) > (distances[0] ?? 0)
  );
}

/**
 * Names of a loop's body that are only counted up or down by a fixed number and read by nothing else in it: they may grow for ever,
 * and nothing goes another way by them.
 */
function onlyCounted(
  language: Language,
  header: readonly Token[],
  body: readonly number[],
  tokens: ReadonlyMap<number, readonly Token[]>,
): Set<string> {
  const lines = [header, ...body.map((line) => tokens.get(line) ?? [])];
  const counted = new Set<string>();
  const others = new Set<string>();
  for (const line of lines) {
    const used = new Set([...language.assignedNames(line), ...language.usedNames(line)]);
    const [name] = used;
    const isCount = line !== header && used.size === 1 && !line.some(({ text }) => /^(?:[[({/%]|mod|div)$/i.test(text));
    if (isCount && name !== undefined && language.assignedNames(line).includes(name)) counted.add(name);
    else for (const each of used) others.add(each);
  }
  return new Set([...counted].filter((name) => !others.has(name)));
}

/** States without some names. */
const without = (states: ReadonlyArray<ReadonlyMap<string, string>>, names: ReadonlySet<string>) =>
  states.map((state) => new Map([...state].filter(([key]) => !names.has(key.split(" ")[1] ?? ""))));

/** Which two passes (1-based) had the very same values everywhere, if the loop does nothing whose state is not seen. */
function repeatedPass(states: ReadonlyArray<ReadonlyMap<string, string>>): [number, number] | null {
  const seen = new Map<string, number>();
  for (const [pass, state] of states.entries()) {
    const key = JSON.stringify([...state].sort());
    const before = seen.get(key);
    if (before !== undefined) return [before + 1, pass + 1];
    seen.set(key, pass);
  }
  return null;
}

/** Whether a recording ends on one of the lines of a call, or in what such a line has called. */
function isInside(steps: readonly Step[], frame: number, lines: readonly number[]): boolean {
  const at = steps.findLastIndex((step) => step.frame === frame);
  const last = steps[at];
  if (last?.file !== 0 || !lines.includes(last.line)) return false;
  return steps.slice(at + 1).every((step) => step.depth > last.depth);
}

/**
 * Looks whether a recorded run that was cut goes round a loop that cannot end. Grounds: over all recorded passes the
 * names of its condition never changed; or the two sides of its comparison only moved away from one another; or
 * everything had the same values at two passes, with nothing in the loop whose state is not seen (input, chance, clock,
 * iterators, calls); or the last passes all ran the same lines with the same values and drew on no chance or clock. In all
 * cases but two equal states, which alone are a proof, the condition calls nothing; in the first two no line of the body
 * leaves the loop, and the last two need no such look. A limit alone is never a ground. Returns null where nothing
 * can be said.
 */
export function findEndlessLoop(language: Language, program: string, trace: Trace): EndlessFinding | null {
  const tokens = tokensByLine(language.tokens(program));
  const { steps } = trace;

  for (const [header, lineTokens] of tokens) {
    const condition = language.loopCondition(lineTokens);
    if (!condition) continue;
    // A loop goes on in one call of its function: passes of other calls say nothing of it.
    const lastHeader = steps.findLastIndex((step) => step.line === header && step.file === 0);
    const frame = steps[lastHeader]?.frame;
    if (frame === undefined) continue;
    const count = steps.filter((step) => step.line === header && step.file === 0 && step.frame === frame).length;
    if (count < leastPasses) continue;
    const body = language.blockLines(program, header);
    if (!isInside(steps, frame, [header, ...body])) continue;
    const bodyTokens = body.flatMap((line) => tokens.get(line) ?? []);
    const leaves = bodyTokens.some((token) => language.loopExits.includes(token.text));
    const first = steps.findIndex((step) => step.line === header && step.file === 0 && step.frame === frame);

    if (
      !condition.calls &&
      !leaves &&
      conditionNeverChanges(trace, trace.steps.slice(first + 1, lastHeader), frame, condition)
    ) {
      const names = condition.names.map((name) => `“${name}”`).join(" and ");
      return {
        ground: "condition never changes",
        line: header,
        proof: false,
        text: condition.constant
          ? `It has not ended: the condition of the loop at line ${header} is always the same, and nothing in the loop is seen to leave it.`
          : `It has not ended: in all ${spaced(count)} recorded passes of the loop at line ${header} ${names} never changed, and nothing in the loop is seen to leave it.`,
      };
    }
    const draws = (step: Step) => (tokens.get(step.line) ?? []).some((token) => language.chanceWords.has(token.text));
    const rounds = sameRounds(trace, header, frame, draws, comparedPasses);
    const isSame = !condition.calls && rounds >= leastPasses;
    const round = [...lineTokens, ...bodyTokens];
    const unseen =
      round.some(
        (token, index) =>
          round[index + 1]?.text === "(" && token.kind === "name" && !language.quietFunctions.has(token.text),
      ) || bodyTokens.some((token) => language.unseenWords.has(token.text));
    // Where all of a program's state is seen, the same again is proof; else it is what was seen.
    const states = isSame && unseen ? null : statesAtHeader(trace, header, frame);
    const counts = leaves ? new Set<string>() : onlyCounted(language, lineTokens, body, tokens);
    const repeated = unseen || !states ? null : repeatedPass(without(states, counts));
    if (isSame && !repeated)
      return {
        ground: "state repeats",
        line: header,
        proof: false,
        text: `It has not ended: in the last ${spaced(rounds)} recorded passes of the loop at line ${header} the same lines ran with the same values, and nothing was taken from the input.`,
      };
    if (!states) continue;
    const compared = condition.comparison && beginsHere(steps[first], condition.comparison) ? states.slice(1) : states;
    if (condition.comparison && !leaves && movesAway(compared, condition.comparison)) {
      const { left, operator, right } = condition.comparison;
      const passesLeft = passesUntilItTurns(language, trace, compared, condition.comparison);
      const turns =
        passesLeft === undefined
          ? ""
          : ` A number leaves the range of its type after at most ${spaced(passesLeft)} more passes, and then the loop may end.`;
      // Where both sides must be equal, they came nearer until they had passed each other.
      const since = operator === "!=" ? passedBy(differences(compared, condition.comparison)).length : states.length;
      const when =
        since < compared.length - 1
          ? `in the ${spaced(since)} recorded passes since the two sides of “${left} ${operator} ${right}” came nearest, the loop at line ${header}`
          : `in all ${spaced(states.length)} recorded passes of the loop at line ${header} “${left} ${operator} ${right}”`;
      return {
        ground: "moves away",
        line: header,
        proof: false,
        text: `It has not ended: ${when} only moved away from ending it.${turns}`,
        ...(passesLeft === undefined ? {} : { passesLeft }),
      };
    }
    if (repeated)
      return {
        ground: "state repeats",
        line: header,
        proof: true,
        text: `At passes ${repeated[0]} and ${repeated[1]} of the loop at line ${header} every variable ${counts.size > 0 ? "that decides where it goes " : ""}had the same value, so it goes round the same for ever.`,
      };
  }
  return null;
}
