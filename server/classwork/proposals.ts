import { comparisonsIn } from "../../core/assignments/comparisonsIn.ts";
import { guessShape } from "../../core/assignments/guessShape.ts";
import type { InputShape } from "../../core/assignments/inputShape.ts";
import { type IntendedPiece, textOfResults } from "../../core/assignments/intended.ts";
import { limitsIn } from "../../core/assignments/limitsIn.ts";
import { type ProposedInput, proposeInputs } from "../../core/assignments/proposeInputs.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Assignment } from "../assignments/assignmentStore.ts";
import { insertCheck, listAssignmentChecks } from "../assignments/checkStore.ts";
import { listModels, settingOf } from "../assignments/modelStore.ts";
import type { Changed } from "../cases/changeCase.ts";
import { listNewestTexts } from "../cases/versionStore.ts";
import type { Database } from "../database/database.ts";
import type { Services } from "../services.ts";
import { mostChecks } from "./assignmentChecks.ts";
import { type AssignmentChange, changeAssignment } from "./changeAssignment.ts";
import { proveModels, runModels } from "./models.ts";

/** As many of the students' programs are read for the numbers that they compare values with. */
const programsRead = 60;
/** A number that fewer programs than this compare values with is one student's slip, not a limit of the assignment. */
const fewestPrograms = 2;
/** As many checks are added with one press. */
const mostAtOnce = 20;

/** What is typed in to the programs of an assignment, guessed from its first model that reads anything. */
export async function guessedShape(database: Database, assignment: string): Promise<InputShape> {
  for (const model of await listModels(database, assignment)) {
    const language = findLanguage(model.language);
    const main = model.files[0];
    const shape = language && main ? guessShape(language, decodeText(main.bytes).text) : [];
    if (shape.length > 0) return shape;
  }
  return [];
}

/** Numbers that the models compare values with, by name, and under "" those of several of the students' programs. */
async function limitsOf(database: Database, assignment: string, shape: InputShape) {
  const limits = new Map<string, number[]>();
  const add = (name: string, number: number) => limits.set(name, [...(limits.get(name) ?? []), number]);
  const ends = new Set(shape.map((value) => value.repeat.replace(/^until /, "")));
  for (const model of await listModels(database, assignment)) {
    const language = findLanguage(model.language);
    if (!language) continue;
    for (const file of model.files)
      for (const [name, numbers] of limitsIn(language, decodeText(file.bytes).text, shape))
        for (const number of numbers) add(name, number);
  }
  const counted = new Map<number, number>();
  for (const program of await listNewestTexts(database, assignment, programsRead)) {
    const language = findLanguage(program.language);
    const numbers = language ? comparisonsIn(language, program.text).flatMap(({ number }) => number ?? []) : [];
    for (const number of new Set(numbers)) counted.set(number, (counted.get(number) ?? 0) + 1);
  }
  for (const [number, programs] of counted)
    if (programs >= fewestPrograms && !ends.has(String(number))) add("", number);
  return limits;
}

/** Inputs that are worth trying and that no check of the assignment has yet. */
export async function proposalsFor(
  database: Database,
  assignment: Pick<Assignment, "key" | "input_shape">,
): Promise<ProposedInput[]> {
  const shape =
    assignment.input_shape.length > 0 ? assignment.input_shape : await guessedShape(database, assignment.key);
  if (shape.length === 0) return [];
  const [limits, checks] = await Promise.all([
    limitsOf(database, assignment.key, shape),
    listAssignmentChecks(database, assignment.key),
  ]);
  const known = new Set(checks.map((check) => check.input.trimEnd()));
  return proposeInputs(shape, limits).filter(({ input }) => !known.has(input.trimEnd()));
}

/**
 * Adds proposed inputs as checks whose intended outputs a model works out; they judge once a person has confirmed them.
 * An input for which the model gives none is tried with a valid value after what is not valid, else left out. Of those
 * that are wanted all are taken; with none named, those that matter: limits first, and of inputs to which the model
 * answers alike one of each kind. `added`: how many there are now.
 */
export async function addProposals(
  services: Services,
  assignment: Assignment,
  change: Omit<AssignmentChange, "key" | "text">,
  wanted: readonly string[] | null,
): Promise<Changed & { added?: number }> {
  const all = await proposalsFor(services.database, assignment);
  const asked = wanted === null ? all : all.filter((proposal) => wanted.includes(proposal.input));
  return addInputs(services, assignment, change, asked, wanted === null ? thoseThatMatter : undefined);
}

/** An input with what a model gives for it. */
type Answered = ProposedInput & { pieces: IntendedPiece[] };

/**
 * Adds inputs as checks whose intended outputs a model works out; they judge once a person has confirmed them. `choose`
 * leaves some out when the outputs are known. `added`: how many there are now.
 */
export async function addInputs(
  services: Services,
  assignment: Assignment,
  change: Omit<AssignmentChange, "key" | "text">,
  asked: readonly ProposedInput[],
  choose: (answered: Answered[]) => Answered[] = (answered) => answered,
): Promise<Changed & { added?: number }> {
  const { models } = await proveModels(services, assignment);
  const usable = models.find((model) => model.usable);
  if (!usable)
    return { ok: false, message: "A model that passes the checks there are is needed, to work the outputs out." };
  const inputs = asked.flatMap(({ input, askedAgain }) => (askedAgain === undefined ? [input] : [input, askedAgain]));
  const settings = [...new Set(inputs)].map((input) => ({ input, surroundings: {} }));
  const ran = (await runModels(services, assignment.key, settings)).find((model) => model.key === usable.key);
  const answered = asked.flatMap((proposal) => {
    for (const input of [proposal.input, proposal.askedAgain]) {
      const pieces = input === undefined ? null : ran?.runs.get(settingOf({ input, surroundings: {} }))?.pieces;
      if (input !== undefined && pieces) return [{ ...proposal, input, pieces }];
    }
    return [];
  });
  const taken = choose(answered);
  let added = 0;
  const done = await changeAssignment(services.database, { ...change, key: assignment.key }, async ({ query }) => {
    const there = (await listAssignmentChecks({ query }, assignment.key)).length;
    for (const { name, input, kind, purpose, pieces } of taken.slice(0, Math.max(0, mostChecks - there))) {
      const intended = { expected: textOfResults(pieces), pieces, workedOutBy: usable.key, confirmed: false };
      await insertCheck(query, { assignment: assignment.key }, { name, input, kind, purpose, ...intended });
      added += 1;
    }
    return undefined;
  });
  return { ...done, added };
}

const kindsFirst = ["boundary", "normal", "erroneous"] as const;

/** Limits before usual values before what is not valid; of one kind and one answer the first only. */
function thoseThatMatter<Answered extends ProposedInput & { pieces: ReadonlyArray<{ kind: string; text: string }> }>(
  answered: readonly Answered[],
): Answered[] {
  const seen = new Set<string>();
  return [...answered]
    .sort((one, other) => kindsFirst.indexOf(one.kind) - kindsFirst.indexOf(other.kind))
    .filter(({ kind, pieces }) => {
      const answer = `${kind} ${pieces.map((piece) => (piece.kind === "out" ? piece.text : "")).join("")}`;
      return !seen.has(answer) && seen.add(answer);
    })
    .slice(0, mostAtOnce);
}
