import type { InputShape, InputValue } from "./inputShape.ts";

/** An input that is worth trying, with its kind of test data and its purpose in words. */
export type ProposedInput = {
  name: string;
  input: string;
  kind: "normal" | "boundary" | "erroneous";
  purpose: string;
  /** The same with a valid value after what is not valid, for programs that ask again. */
  askedAgain?: string;
};

/** One value to try in place of the usual one. */
type Candidate = Omit<ProposedInput, "input" | "name"> & { value: string };

/** A valid value that nothing is special about; the second, the third … differ from one another. */
function usualValue(value: InputValue, index = 0): string {
  if (value.kind === "choice") return value.choices[index % Math.max(1, value.choices.length)] ?? "";
  if (value.kind === "text") return ["Tern", "Gannet", "Puffin", "Skua"][index % 4] ?? "Tern";
  const { from, to } = value;
  const middle =
    from !== null && to !== null ? Math.floor((from + to) / 2) : from !== null ? from + 5 : to !== null ? to - 5 : 7;
  const moved = middle + ([0, 2, -1, 1][index % 4] ?? 0);
  const inside = Math.min(to ?? moved, Math.max(from ?? moved, moved));
  return value.kind === "decimal" && Number.isInteger(inside) && (to === null || inside < to)
    ? `${inside}.5`
    : String(inside);
}

const longText =
  "The Kittiwake crosses to the outer islands at every tide and comes back with whoever waits there, twice a day";

function textCandidates(): Candidate[] {
  return [
    { value: "", kind: "erroneous", purpose: "nothing is entered" },
    { value: "K", kind: "boundary", purpose: "a text of one letter" },
    { value: "Isle of Terns", kind: "normal", purpose: "a text with blanks in it" },
    { value: longText, kind: "boundary", purpose: "a long text" },
    { value: "42", kind: "erroneous", purpose: "digits where a text is asked for" },
  ];
}

function choiceCandidates({ choices }: InputValue): Candidate[] {
  const other = choices.map((choice) =>
    choice === choice.toUpperCase() ? choice.toLowerCase() : choice.toUpperCase(),
  );
  return [
    ...choices.map((value): Candidate => ({ value, kind: "normal", purpose: `the choice ${value}` })),
    ...other
      .slice(0, 1)
      .map((value): Candidate => ({ value, kind: "erroneous", purpose: "a choice in other letter case" })),
    { value: "zzz", kind: "erroneous", purpose: "none of the choices" },
    { value: "", kind: "erroneous", purpose: "nothing is entered" },
  ].filter((each, index, all) => all.findIndex((other) => other.value === each.value) === index) as Candidate[];
}

function numberCandidates(value: InputValue, limits: readonly number[]): Candidate[] {
  const { from, to, kind } = value;
  const step = kind === "decimal" ? 0.1 : 1;
  const plain = (number: number) => String(Math.round(number * 1000) / 1000);
  const isValid = (number: number) => (from === null || number >= from) && (to === null || number <= to);
  const at = (number: number, purpose: string): Candidate => ({
    ...{ value: plain(number), purpose, kind: isValid(number) ? "boundary" : "erroneous" },
  });
  const all: Candidate[] = [];
  if (from !== null) {
    all.push(at(from - step, `just below the least valid value ${from}`), at(from, `the least valid value ${from}`));
    all.push(at(from + step, `just above the least valid value ${from}`));
  }
  if (to !== null) {
    all.push(at(to - step, `just below the greatest valid value ${to}`), at(to, `the greatest valid value ${to}`));
    all.push(at(to + step, `just above the greatest valid value ${to}`));
  }
  for (const limit of limits.filter((each) => each !== from && each !== to)) {
    all.push(at(limit - step, `just below the limit ${limit}`), at(limit, `equal to the limit ${limit}`));
    all.push(at(limit + step, `just above the limit ${limit}`));
  }
  if (from !== null && to !== null && kind === "whole" && to - from <= 5)
    for (let each = from; each <= to; each++)
      all.push({ value: String(each), kind: "normal", purpose: `the valid value ${each}` });
  all.push(at(0, "zero"), at(-7, "a negative number"), at(to === null ? 999_999 : to * 10 + 7, "far above"));
  if (kind === "whole") {
    const middle = Number(usualValue(value));
    all.push({ value: `${middle}.5`, kind: "erroneous", purpose: "between two valid values" });
  }
  return [
    ...all,
    { value: "", kind: "erroneous", purpose: "nothing is entered" },
    { value: "seven", kind: "erroneous", purpose: "letters where a number is asked for" },
    { value: "%", kind: "erroneous", purpose: "a sign where a number is asked for" },
  ];
}

function candidatesOf(value: InputValue, limits: readonly number[]): Candidate[] {
  if (value.kind === "choice") return choiceCandidates(value);
  return value.kind === "text" ? textCandidates() : numberCandidates(value, limits);
}

/** How many times a value is typed in, given what was typed for the values before it. */
function timesOf(value: InputValue, typed: ReadonlyMap<string, string>): number {
  if (value.repeat.startsWith("until ")) return 3;
  const count = /^\d+$/.test(value.repeat) ? Number(value.repeat) : Number(typed.get(value.repeat) ?? "1");
  return Number.isInteger(count) && count >= 0 ? Math.min(count, 200) : 0;
}

/** What a value has typed for it: a single one in place of the usual, or all of a repeated one. */
type Special = { value?: string; again?: boolean; at?: "first" | "last"; all?: readonly string[] };

/** The whole input, with the values of one name replaced. */
function inputOf(shape: InputShape, name: string | null, special: Special): string {
  const counts = new Set(shape.map((each) => each.repeat));
  const typed = new Map<string, string>();
  const lines: string[] = [];
  for (const value of shape) {
    const own = value.name === name ? special : {};
    // A value that says how often another comes is small, so that a person can follow.
    const few = counts.has(value.name) ? String(Math.min(value.to ?? 3, Math.max(value.from ?? 3, 3))) : null;
    const times = own.all ? own.all.length : timesOf(value, typed);
    const usual = Array.from({ length: times }, (_, index) => few ?? usualValue(value, index));
    const all = own.all ?? usual;
    const place = own.at === "last" ? all.length - 1 : 0;
    const withAgain = (each: string) => (own.again ? [own.value ?? each, each] : [own.value ?? each]);
    const given =
      own.value === undefined ? all : all.flatMap((each, index) => (index === place ? withAgain(each) : [each]));
    typed.set(value.name, (own.again ? given[1] : given[0]) ?? "");
    lines.push(...given);
    if (value.repeat.startsWith("until ")) lines.push(value.repeat.slice("until ".length));
  }
  return lines.length === 0 ? "" : `${lines.join("\n")}\n`;
}

/** Inputs about how many values there are and where the extreme ones stand. */
function aboutRepeats(shape: InputShape): ProposedInput[] {
  const proposals: ProposedInput[] = [];
  for (const value of shape) {
    if (value.repeat === "1") continue;
    const add = (short: string, kind: ProposedInput["kind"], purpose: string, special: Special) =>
      proposals.push({ name: `${value.name}: ${short}`, input: inputOf(shape, value.name, special), kind, purpose });
    const until = value.repeat.startsWith("until ");
    const counted = shape.find((each) => each.name === value.repeat);
    const numbers = value.kind === "whole" || value.kind === "decimal";
    if (until) {
      add("none", "boundary", "an empty list: the end comes at once", { all: [] });
      add("one", "boundary", "a list of one", { all: [usualValue(value)] });
    } else if (counted) {
      const count = (number: string, purpose: string) =>
        proposals.push({
          ...{ name: `${value.name}: ${number === "0" ? "none" : "one"}`, kind: "boundary", purpose },
          input: inputOf(shape, counted.name, { value: number }),
        });
      count("0", "a repeat of none");
      count("1", "a repeat of one");
    }
    if (!numbers) continue;
    const great = String(value.to ?? 99);
    add("greatest first", "boundary", "the greatest value is the first element", { value: great, at: "first" });
    add("greatest last", "boundary", "the greatest value is the last element", { value: great, at: "last" });
    const least = String(value.from ?? 1);
    add("least first", "boundary", "the least value is the first element", { value: least, at: "first" });
    add("least last", "boundary", "the least value is the last element", { value: least, at: "last" });
  }
  return proposals;
}

/**
 * Inputs that are worth trying for the programs of an assignment, one value special at a time, each with its purpose.
 * `limits`: numbers that the model and the students' programs compare values with, by name; those of "" are tried for
 * every number. No input comes twice.
 */
export function proposeInputs(shape: InputShape, limits: ReadonlyMap<string, readonly number[]>): ProposedInput[] {
  const all: ProposedInput[] = [
    { name: "usual values", input: inputOf(shape, null, {}), kind: "normal", purpose: "usual values, nothing special" },
    ...aboutRepeats(shape),
  ];
  for (const value of shape) {
    const own = [...new Set([...(limits.get(value.name) ?? []), ...(limits.get("") ?? [])])].slice(0, 8);
    const isCount = shape.some((each) => each.repeat === value.name);
    for (const { value: text, kind, purpose } of candidatesOf(value, own)) {
      // So many values more would have to be typed that nobody could follow them.
      if (isCount && Number(text) > 20) continue;
      all.push({
        name: `${value.name}: ${text === "" ? "nothing" : text.length > 20 ? "long" : text}`,
        ...{ input: inputOf(shape, value.name, { value: text }), kind, purpose: `${value.name}: ${purpose}` },
        ...(kind === "erroneous" ? { askedAgain: inputOf(shape, value.name, { value: text, again: true }) } : {}),
      });
    }
  }
  const seen = new Set<string>();
  return all.filter(({ input }) => !seen.has(input) && seen.add(input));
}
