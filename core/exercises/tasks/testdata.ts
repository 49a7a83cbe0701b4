import * as z from "zod";
import { proposeInputs } from "../../assignments/proposeInputs.ts";
import type { ExerciseCheck, ExerciseContent } from "../exercise.ts";
import {
  asTyped,
  type DataKind,
  resultOf as givenBy,
  inputsOf,
  isRefusedBy,
  kindsOfInput,
  promptsOf,
  saysResult,
} from "../inputValues.ts";
import { definePartsKind } from "../partsKind.ts";
import { shareOut } from "../shareOut.ts";
import type { ItemMark, MarkContext } from "../taskKind.ts";

const kindsAsked = ["normal", "boundary", "erroneous"] as const;
const exampleSchema = z.object({ kind: z.enum(kindsAsked), input: z.string(), result: z.string() });
const schema = z.object({
  ...{ key: z.string(), kind: z.literal("testdata"), marks: z.number().int().min(2) },
  /** An input of each kind that this program has, with what it gives. */
  examples: z.array(exampleSchema).min(2),
});
type TestDataTask = z.infer<typeof schema>;

const mostTried = 12;
const inputOf = (kind: DataKind) => `${kind} input`;
const resultOf = (kind: DataKind) => `${kind} result`;

const says: Readonly<Record<DataKind, string>> = {
  normal: "Normal test data: a line for each value",
  boundary: "Boundary test data: at a limit, or just beside one",
  erroneous: "Erroneous test data: what the program should not take",
};

const rightOf = ({ mended, program }: ExerciseContent): string => mended ?? program;
const lettersIn = (input: string) => Number(/\p{L}/u.test(input));

/** What the right program does with an input. */
async function runWith({ exercise, run }: MarkContext, input: string) {
  const [first] = exercise.checks;
  const check: ExerciseCheck = {
    ...{ input: asTyped(input), expected: null, kind: "normal", ignorePrompts: false, files: first?.files ?? {} },
  };
  return run(rightOf(exercise), check);
}

/** Choose test data of each kind, with what should come out: what is given is run. */
export const testdata = definePartsKind<TestDataTask>({
  kind: "testdata",
  title: "Choose test data",
  schema,
  make: async (context, { key, marks }) => {
    const { exercise } = context;
    const known = inputsOf(exercise);
    if (known.shape.length === 0) return "Test data cannot be asked: the program reads nothing.";
    const proposals = proposeInputs(known.shape, known.limits);
    const examples: TestDataTask["examples"] = [];
    let tried = 0;
    for (const kind of kindsAsked) {
      const own = proposals.filter((each) => each.kind === kind);
      // What is of no number at all is told from a number that is only unusual.
      const inOrder =
        kind === "erroneous" ? [...own].sort((one, other) => lettersIn(other.input) - lettersIn(one.input)) : own;
      for (const proposal of inOrder) {
        tried += 1;
        if (tried > mostTried) break;
        const ran = await runWith(context, proposal.input);
        if ("notRun" in ran) continue;
        const refused = isRefusedBy(ran.outcome);
        if (!kindsOfInput(proposal.input, known, refused).has(kind)) continue;
        const result = givenBy(ran.outcome, promptsOf(ran.outcome, rightOf(exercise)));
        examples.push({ kind, input: proposal.input, result });
        break;
      }
      tried = Math.max(0, tried - 6);
    }
    if (examples.length < 2) return "Test data cannot be asked: the program has no limit and takes everything.";
    return { key, kind: "testdata", marks: Math.max(marks, examples.length), examples };
  },
  parts: (task) => [
    {
      says: "Give one input of each kind, and what should come out with it.",
      shown: [],
      fields: task.examples.flatMap(({ kind }) => [
        { name: inputOf(kind), says: says[kind], rows: 2, code: true },
        { name: resultOf(kind), says: "What should come out?", rows: 2, code: true },
      ]),
    },
  ],
  right: (task) =>
    Object.fromEntries(
      task.examples.flatMap(({ kind, input, result }) => [
        [inputOf(kind), input],
        [resultOf(kind), result],
      ]),
    ),
  rule: () =>
    "The marks are shared over the kinds. The input earns half of each, what should come out the other half; both are tried with the program that does what is intended. The same input earns once.",
  scheme: (task) =>
    shareOut(task.marks, task.examples.length).map((marks, at) => {
      const example = task.examples[at];
      const words = `for instance ${example?.input.trim().split("\n").join(" / ") || "(nothing)"}: ${example?.result ?? ""}`;
      return { item: example?.kind ?? "", marks, words };
    }),
  mark: async (task, texts, context) => {
    const { exercise } = context;
    const known = inputsOf(exercise);
    const shares = shareOut(task.marks, task.examples.length);
    const marks: ItemMark[] = [];
    const before = new Set<string>();
    for (const [at, { kind }] of task.examples.entries()) {
      const possible = shares[at] ?? 0;
      const give = (earned: number | null, reason: string) => marks.push({ item: kind, possible, earned, reason });
      const input = texts[inputOf(kind)];
      const result = texts[resultOf(kind)] ?? "";
      // Nothing typed in is test data too, where what comes out of it was said.
      if (input === undefined || (input.trim() === "" && (kind !== "erroneous" || result.trim() === ""))) {
        give(0, `There is no ${kind} test data.`);
        continue;
      }
      if (before.has(input.trim())) {
        give(0, "The same input was given for another kind.");
        continue;
      }
      before.add(input.trim());
      const ran = await runWith(context, input);
      if ("notRun" in ran) {
        give(null, `This waits for the teacher: ${ran.notRun}`);
        continue;
      }
      const kinds = kindsOfInput(input, known, isRefusedBy(ran.outcome));
      if (!kinds.has(kind)) {
        give(0, `This is ${[...kinds].join(" and ")} test data; ${kind} test data is missing.`);
        continue;
      }
      const says = saysResult(result, ran.outcome, promptsOf(ran.outcome, rightOf(exercise)));
      const half = Math.floor(possible) / 2;
      give(
        says ? possible : half,
        says ? "The input is of its kind, and that comes out." : "The input is of its kind; something else comes out.",
      );
    }
    return marks;
  },
});
