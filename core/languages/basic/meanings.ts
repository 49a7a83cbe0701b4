import { dotnetExplanations } from "../csharp/meanings.ts";
import type { Explanation } from "../explanation.ts";

/** Messages of typed Basic (by code), as their documentation tells them. */
export const typedBasicExplanations: readonly Explanation[] = [
  {
    pattern: /BC30451: '(\w+)'/,
    kind: "unknown name",
    words: ["name"],
    says: "“$1” is not declared.",
    usually: "It is misspelt, or its Dim line has a fault of its own: look there first.",
    unsaid: "Nothing was run: names are checked before.",
  },
  {
    pattern: /BC30002: Type '(\w+)'/,
    kind: "unknown type",
    words: ["name"],
    says: "The type “$1” is not known.",
    usually: "It is misspelt.",
  },
  {
    pattern: /BC30456: '(\w+)' is not a member of '([^']+)'/,
    kind: "unknown member",
    words: ["name", "type"],
    says: "“$2” has nothing called “$1”.",
  },
  {
    pattern: /BC30512|BC30311|BC30332/,
    kind: "type mismatch",
    says: "A value of one type is given where another is needed, and strict rules are on.",
  },
  { pattern: /BC30201/, kind: "word misplaced", says: "A value was expected here." },
  { pattern: /BC30198/, kind: "bracket not closed", says: "A closing bracket was expected here." },
  { pattern: /BC30648/, kind: "text not closed", says: "A text in quotes is not closed on its line." },
  {
    pattern: /BC30081|BC30083|BC30084|BC30085|BC30095|BC30384|BC30026|BC30027|BC30625/,
    kind: "block not closed",
    says: "A block is opened and its end (End If, Next, End Sub …) was not found.",
  },
  {
    pattern: /BC30087|BC30092|BC30429|BC30430|BC30086/,
    kind: "block not closed",
    says: "An end stands here without the beginning it belongs to.",
  },
  {
    pattern: /BC30188|BC30205|BC30035|BC30180/,
    kind: "word misplaced",
    says: "The line cannot be read as a statement.",
    usually: "A word is misspelt (Dim, As, Then …), or a sign is missing.",
  },
  {
    pattern: /BC42104: Variable '(\w+)'/,
    kind: "not set",
    words: ["name"],
    says: "The variable “$1” may be used before it is given a value.",
    usually: "An object would be Nothing and stop the program.",
  },
  { pattern: /BC42024: .*'(\w+)'/, kind: "unused", words: ["name"], says: "“$1” is declared and never used." },
  { pattern: /BC42105|BC42353/, kind: "return missing", says: "The function may end without giving a result." },
  { pattern: /BC30420|BC30737/, kind: "entry point missing", says: "There is no Sub Main to start in." },
  ...dotnetExplanations,
];

/** Messages of the windows of macros (by number), as their documentation tells them. */
export const macroExplanations: readonly Explanation[] = [
  {
    pattern: /Compile error: (?:Sub or [Ff]unction not defined)/,
    kind: "unknown name",
    says: "A routine is called that is defined nowhere.",
    usually: "Its name is misspelt; the marked line shows it. The macro did not start.",
    unsaid: "It does not name the routine.",
  },
  {
    pattern: /Compile error: Variable not defined/,
    kind: "unknown name",
    says: "A variable is not declared, and the strict option is on.",
    usually: "It is misspelt, or its Dim is missing.",
    unsaid: "It does not name the variable.",
  },
  {
    pattern: /Compile error: Expected:? ?(.*)/,
    kind: "sign missing",
    words: ["sign"],
    says: "Something was expected here: $1.",
    misleads: "It may ask for a separator or bracket where a quote is missing.",
  },
  {
    pattern: /Compile error: (?:Method or data member not found)/,
    kind: "unknown member",
    says: "The object has nothing of that name.",
  },
  {
    pattern:
      /Compile error: (?:Next without For|End If without|Loop without|Block If without|For without|Else without|End With)/i,
    kind: "block not closed",
    says: "The beginnings and ends of blocks do not fit together.",
  },
  {
    pattern: /Compile error: (?:Type mismatch|ByRef argument type mismatch)/,
    kind: "type mismatch",
    says: "A value of one type is given where another is needed.",
  },
  {
    pattern: /Compile error|Syntax error/,
    kind: "word misplaced",
    says: "A line cannot be read as a statement.",
    usually: "The line that was marked in the editor; a sign or word in it is wrong or missing.",
  },
  {
    pattern: /Run-time error 438/,
    kind: "unknown member",
    says: "An object was asked for something that it does not have.",
    usually: "The name of a property or method is misspelt; such names are looked up only when the line is reached.",
    unsaid: "It does not name the word. What ran before has been done: some cells may already be changed.",
  },
  {
    pattern: /Run-time error 1004/,
    kind: "value not allowed",
    says: "The document refused what the macro asked of it.",
    usually: "A sheet, range or name that is not there.",
  },
  {
    pattern: /Run-time error 9\b/,
    kind: "index out of range",
    says: "A position or name was asked for that is not there.",
    usually: "An array is shorter than thought, or a sheet's name is misspelt.",
  },
  {
    pattern: /Run-time error 91/,
    kind: "empty reference",
    says: "An object variable holds no object.",
    usually: "Set is missing, or a search found nothing.",
  },
  {
    pattern: /Run-time error 13/,
    kind: "conversion",
    says: "A value is of a kind that does not fit here.",
    usually: "A cell or box holds text, or nothing, where a number is needed.",
  },
  {
    pattern: /Run-time error 11\b/,
    kind: "division by zero",
    says: "A number was divided by zero.",
    usually: "An empty cell counts as 0.",
  },
  {
    pattern: /Run-time error 6\b/,
    kind: "overflow",
    says: "A number is too large for its type.",
    usually: "Integer ends at 32767.",
  },
  {
    pattern: /Run-time error 424/,
    kind: "empty reference",
    says: "An object is needed and something else stands there.",
    usually: "A misspelt name made a new empty variable.",
  },
  { pattern: /Run-time error (?:53|76)/, kind: "file missing", says: "A file or folder is not there." },
  {
    pattern: /Run-time error 28/,
    kind: "stack exhausted",
    says: "A routine went on calling itself until there was no room left.",
  },
];
