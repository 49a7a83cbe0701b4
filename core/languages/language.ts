import type { ValueRules } from "../expressions/rules.ts";
import type { Chart } from "../flowcharts/chart.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import type { MessageKind } from "../reading/kinds.ts";
import type { SyntaxReader } from "../syntax/tree.ts";
import type { Explanation } from "./explanation.ts";
import type { InputForms } from "./inputReads.ts";
import { type OutputRead, type PrimaryRule, readOutputWith, type ToolFamily } from "./messageReader.ts";
import { problemList } from "./problemList.ts";
import type { ReferenceCard } from "./referenceCard.ts";
import type { Token } from "./token.ts";
import type { Writing } from "./writing.ts";

/** The first and the last number of a type. */
export type NumberRanges = Readonly<Record<string, readonly [from: bigint, to: bigint]>>;

/**
 * The condition of a loop: the names in it, whether it calls anything, whether it holds none. `comparison`: if it is
 * one comparison of a name with a name or number, its sides; the loop goes on while it holds.
 */
export type LoopCondition = {
  names: string[];
  calls: boolean;
  constant: boolean;
  comparison?: { left: string; operator: "<" | "<=" | ">" | ">=" | "!="; right: string };
};

/** How a language goes about a program, in words for people; shown on the page of languages. */
export type LanguageProfile = {
  /** What happens between text and result, in order. */
  stages: readonly string[];
  /** What marks a block, what ends a statement. */
  blocks: string;
  statementEnd: string;
  /** True if names that differ in letter case only are different names. */
  caseSensitive: boolean;
  /** Position of the first element. */
  firstIndex: 0 | 1 | "declared";
  /** A message that says of a missing value that it was made on the failing line itself: nothing before it made it. */
  madeWhereItStops?: RegExp;
  /** What a variable holds before it is given a value. */
  unsetValue: string;
  /** Dividing whole numbers; joining text and numbers; how input arrives. */
  integerDivision: string;
  input: string;
  /** Options that change what is found, as asked for here. */
  strictness: string;
  /** Where the fault usually lies from the reported line, by the way this translator reads. */
  usualDistance: string;
};

/**
 * How what the user of a program does is written, where that is what is typed in: what a field for it is called, what is said beside it, and what
 * is wrong with its lines (1-based).
 */
export type UserActions = {
  label: string;
  note: string;
  problems: (input: string) => Array<{ line: number; says: string }>;
};

/** How a language's error output is read. */
export type MessageReading = {
  /** The tools whose words are known, in the order in which they are asked. */
  families: readonly ToolFamily[];
  /** Which of several errors is the one to work on. */
  primaryRule: PrimaryRule;
  /**
   * Reads a whole output: messages, and what every line belongs to. `program` (the text of each file by name) helps to
   * place columns.
   */
  readOutput: (output: string, program?: Readonly<Record<string, string>>) => OutputRead;
  /** The messages alone. Nothing for text that is not recognised; never guesses. */
  readMessages: (output: string, program?: Readonly<Record<string, string>>) => Diagnostic[];
};

/** The reading of a language's output by its families; an editor's list of problems is read for every language. */
export function messageReading(
  families: readonly ToolFamily[],
  rule: PrimaryRule,
  isSummary: (line: string) => boolean,
): MessageReading {
  const all = [...families, problemList];
  const readOutput: MessageReading["readOutput"] = (output, program) =>
    readOutputWith(all, rule, isSummary, output, program);
  return {
    families: all,
    primaryRule: rule,
    readOutput,
    readMessages: (output, program) => readOutput(output, program).diagnostics,
  };
}

/**
 * Something that we notice in a program where its translator says nothing. `line` is 1-based. It never decides a class;
 * `style`: it is seldom a fault, so it is no lead.
 */
export type OwnWarning = { line: number; kind: MessageKind; says: string; usually: string; style?: true };

/** What a rule looks at: the tokens without comments. */
export type WarningContext = { language: Language; code: readonly Token[] };

/** A rule that notices one kind; each language names its own (languages/language.ts). */
export type OwnWarningRule = (context: WarningContext) => OwnWarning[];

/**
 * Ways in which a course can have a language: how it is written (`styles`), and what is checked before a program runs (`checks`). A
 * way is written as a style's id and the ids of checks, with blanks between. `changes` says what is other in the language, `rules` in
 * words what is other when a program runs.
 */
export type LanguageWays = {
  styles: ReadonlyArray<{ id: string; name: string }>;
  checks: ReadonlyArray<{ id: string; says: string }>;
  changes: (way: string) => Partial<Pick<Language, "namesCheckedAt">>;
  rules: (way: string) => string;
};

/** What the rest of the program asks about a language. Nothing outside a language's folder tests its id. */
export type Language = MessageReading & {
  id: string;
  name: string;
  /**
   * Ending of its program files, with the dot, others that belong to it, and the name of a program that was pasted
   * without one.
   */
  extension: string;
  otherExtensions?: readonly string[];
  /** Those among them that are read and never written: a file that comes with one is kept under `extension`. */
  onlyRead?: readonly string[];
  mainName: string;
  lineComment: string;
  /** "run": an unknown name shows only when its line is reached; "translation": the program does not start. */
  namesCheckedAt: "run" | "translation";
  profile: LanguageProfile;
  /** What beginners look up: rules, and routines of the library; absent where nothing of it is written down. */
  card?: ReferenceCard;
  tokens: (text: string) => readonly Token[];
  /** Its programs as trees; absent where nothing takes them apart. */
  syntax?: SyntaxReader;
  /** How small edits are written in it; goes with `syntax`. */
  writing?: Writing;
  /** The same for one program, where the ways of writing differ from program to program. */
  writingOf?: (program: string) => Writing;
  /** Its programs as flowcharts, the main part first; none for a program that cannot be read. Absent where nothing is drawn. */
  charts?: (program: string) => Chart[];
  /** True where a student's browser can fetch its real interpreter and run programs itself (app/ownPython/). */
  interpreterInBrowsers?: true;
  /** True where an interpreter of our own runs it, in the browser as well. */
  runsInBrowser?: true;
  /** Ways in which a course can have it, and the one that a program is in (core/languages/ways.ts). */
  ways?: LanguageWays;
  way?: string;
  /** Other forms in which its programs can be written, the program staying the same. */
  forms?: {
    all: ReadonlyArray<{ id: string; name: string }>;
    write: (program: string, form: string) => { text: string } | { problem: string };
  };
  /** Where the elements of a variable begin, by its declaration in a program; where `profile.firstIndex` is "declared". */
  firstPosition?: (program: string, name: string) => number;
  /** How its expressions are worked out. */
  values?: ValueRules;
  /** Its reserved words, as they are written. */
  keywords?: ReadonlySet<string>;
  /** How its programs read what is typed in; absent where nothing runs that reads. */
  inputForms?: InputForms | undefined;
  /** Where not texts are typed in, but what the user does is told: mouse, keys, buttons. */
  actions?: UserActions;
  /** The same for one program, where some are typed in to and others have a user who acts. */
  actionsOf?: (program: string) => UserActions | null;
  /**
   * "form" for a refusal because of grammar, "meaning" for one because of a name, a type, a missing entry point or the
   * like.
   */
  kindOfRefusal: (diagnostic: Diagnostic) => "form" | "meaning";
  /** The name that a message says is not known, or null. */
  unknownName: (diagnostic: Diagnostic) => string | null;
  /**
   * Parts of messages that differ from build to build of the same text (addresses, offsets); left aside where two runs
   * are compared.
   */
  machineWords?: RegExp;
  /** What its messages mean, the first that fits counting. */
  explanations: readonly Explanation[];
  /** What must be said of normal output before a stop: that it is no proof of the last line that ran. */
  outputCaution?: string;
  /** True if a program needs another file of its folder, by that file's name without its ending. */
  needsFile?: (program: string, stem: string) => boolean;
  /** Names of errors by which the translator refuses an indentation, where it does. */
  indentationErrors?: ReadonlySet<string>;
  /** The mode by which the editor tells its words apart (app/components/editorModes.ts); none: plain text. */
  editorMode?: string;
  /** Of a language that no new case is in: the ids of those that it has become, one of which a person says of each case. */
  askedAs?: readonly string[];
  /** False for what no translator runs: steps in words. Cases in it serve for trace tasks on paper. */
  runs?: false;
  /** The names given a value on a line, and the names that it uses, in order; for leads and for judging loops. */
  assignedNames: (lineTokens: readonly Token[]) => string[];
  usedNames: (lineTokens: readonly Token[]) => string[];
  /** For a line that heads a conditional loop: its condition; else null. */
  loopCondition: (lineTokens: readonly Token[]) => LoopCondition | null;
  /** Lines (1-based) of the block that the line `header` opens, without the header. */
  blockLines: (program: string, header: number) => number[];
  /** Words that head a decision or a loop; words that head a loop; whether a line begins a function. */
  decisionWords: ReadonlySet<string>;
  loopWords: ReadonlySet<string>;
  definesFunction: (lineTokens: readonly Token[]) => boolean;
  /** True where every program has a function that it starts in. */
  mainIsFunction?: boolean;
  /** Names by which a program draws on chance, the clock or addresses: another run may give another result. */
  chanceWords: ReadonlySet<string>;
  /** True where variables without a value hold a mark of ours in a recording, and whatever was in memory in a plain run. */
  recordingMarksUnset?: true;
  /** True where a session keeps its variables from one run of a program to the next. */
  keepsWorkspace?: true;
  /** Words in a loop whose state a recording does not show (iterators, generators). */
  unseenWords: ReadonlySet<string>;
  /** Words that open and close blocks, in lower case, where the language has such; brackets count everywhere. */
  blockWords?: { opens: ReadonlySet<string>; closes: ReadonlySet<string> };
  /** Functions that neither read, nor draw on chance or the clock, nor change anything but what they print. */
  quietFunctions: ReadonlySet<string>;
  /**
   * Types of whole numbers (as a recording names them) with the first and the last number that they hold, where a number
   * past it comes in again at the other end.
   */
  numberRanges: NumberRanges;
  /** Where programs draw: functions that draw something, those that cover all that was drawn, and those that are called by themselves. */
  draws?: { shapes: ReadonlySet<string>; covers: ReadonlySet<string>; called: readonly string[] };
  /** What we notice in its programs where its translator says nothing. */
  ownWarnings?: readonly OwnWarningRule[];
  /** Words that leave a loop from inside. */
  loopExits: readonly string[];
  /** Words that belong to the language or its library, never a person's name. */
  ownWords: ReadonlySet<string>;
  /**
   * Signs that a text is in this language, each with its weight; used to notice a program handed in under another
   * language's name.
   */
  signs: ReadonlyArray<{ pattern: RegExp; weight: number; words: string }>;
};

/** How what the user of a program does is written; null where texts are typed in. */
export const actionsIn = (language: Language, program: string): UserActions | null =>
  language.actionsOf ? language.actionsOf(program) : (language.actions ?? null);
