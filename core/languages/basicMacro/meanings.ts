import { macroExplanations } from "../basic/meanings.ts";
import type { Explanation } from "../explanation.ts";

/** Messages of the office's Basic (its error codes), of our own check before the run, and of other macro windows. */
export const officeExplanations: readonly Explanation[] = [
  {
    pattern: /BASIC syntax error/,
    kind: "word misplaced",
    says: "The office refused the module here: up to this line it cannot be read, or a block is not closed.",
    usually: "A sign or word of the line is wrong or missing, or the end of a block above is.",
    unsaid: "The macro did not start. Run here, the office does not tell what it expected.",
  },
  {
    pattern: /Compile error: Routine “(\w+)” is not defined/,
    kind: "unknown name",
    words: ["name"],
    says: "No routine “$1” is known.",
    usually:
      "Its name is misspelt. The students' tool refuses it at the start; the office stops only where it is reached.",
  },
  {
    pattern: /Compile error: “(\w+)” is not declared/,
    kind: "unknown name",
    words: ["name"],
    says: "“$1” is not declared, and the strict option is on.",
    usually: "It is misspelt, or its Dim is missing.",
  },
  {
    pattern: /Compile error: Nothing to start/,
    kind: "entry point missing",
    says: "There is no Sub without parameters that could be started.",
  },
  {
    pattern: /Property or method not found: (\w+)/,
    kind: "unknown member",
    words: ["name"],
    says: "The object has no property or method “$1”.",
    usually: "It is misspelt; such names are looked up only when the line is reached. What ran before has been done.",
    unsaid: "It does not say what the object is.",
  },
  {
    pattern: /Variable not defined\.?(?:.*Additional information: (\w+))?/,
    kind: "unknown name",
    words: ["name"],
    says: "“$1” is not declared, and the strict option is on.",
    usually: "It is misspelt, or its Dim is missing.",
  },
  {
    pattern: /Sub-procedure or function procedure not defined\.?(?:.*Additional information: (\w+))?/,
    kind: "unknown name",
    words: ["name"],
    says: "No routine “$1” is known.",
    usually: "Its name is misspelt, or it is no routine of this Basic.",
    unsaid: "What ran before has been done: some cells may already be changed.",
  },
  {
    pattern: /BASIC runtime error: .*Division by zero/,
    kind: "division by zero",
    says: "A number was divided by zero.",
    usually: "An empty cell counts as 0.",
  },
  {
    pattern: /Data type mismatch/,
    kind: "conversion",
    says: "A value is of a kind that does not fit here.",
    usually: "A text is used where a number is needed: something typed in, or what a cell shows.",
  },
  {
    pattern: /Index out of defined range/,
    kind: "index out of range",
    says: "A position was asked for that the array does not have.",
    usually: "Arrays count from 0 unless declared otherwise; the last position is the one that stands in Dim.",
  },
  {
    pattern: /Object variable not set/,
    kind: "empty reference",
    says: "Something was asked of a variable that holds no object.",
    usually: "Its name is misspelt, so that it is a new empty variable, or nothing was found for it.",
  },
  {
    pattern: /BASIC runtime error: .*Overflow/,
    kind: "overflow",
    says: "A number is too large for its type.",
    usually: "Integer ends at 32767.",
  },
  {
    pattern: /Invalid procedure call|Argument is not optional|Wrong number of parameters|Incorrect property value/,
    kind: "wrong arguments",
    says: "The values given to a routine do not fit.",
    usually: "One is missing, or outside what is allowed.",
  },
  {
    pattern: /NoSuchElementException/,
    kind: "key missing",
    says: "A thing of this name is not there: a sheet, an element.",
    usually: "The name is misspelt.",
  },
  {
    pattern: /IndexOutOfBoundsException/,
    kind: "index out of range",
    says: "A position was asked for that is not there: a sheet, a cell or an element.",
    usually: "Positions of sheets, columns and rows count from 0.",
  },
  {
    pattern: /An exception occurred/,
    kind: "value not allowed",
    says: "The office refused what the macro asked of it.",
  },
  {
    pattern: /BASIC runtime error: .*(?:Not enough stack memory|stack overflow)/i,
    kind: "stack exhausted",
    says: "A routine went on calling itself until there was no room left.",
  },
  { pattern: /File not found|Path not found/, kind: "file missing", says: "A file or folder is not there." },
  ...macroExplanations,
];
