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
    pattern: /BC30002: (?:The type|Type) '([\w.]+)'/,
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
    pattern: /BC30512|BC30311|BC30332|BC30452|BC30038|BC30487|BC30574|BC32023|BC30337/,
    kind: "type mismatch",
    says: "A value of one type is given where another is needed, and strict rules are on.",
  },
  { pattern: /BC30201|BC30182/, kind: "word misplaced", says: "A value was expected here." },
  { pattern: /BC30198|BC30370/, kind: "bracket not closed", says: "A closing bracket was expected here." },
  { pattern: /BC30648/, kind: "text not closed", says: "A text in quotes is not closed on its line." },
  {
    pattern:
      /BC30081|BC30082|BC30083|BC30084|BC30085|BC30095|BC30384|BC30025|BC30026|BC30027|BC30625|BC30481|BC30624|BC30185|BC30631|BC30633|BC36008/,
    kind: "block not closed",
    says: "A block is opened and its end (End If, Next, End Sub …) was not found.",
  },
  {
    pattern:
      /BC30087|BC30088|BC30090|BC30091|BC30092|BC30093|BC30429|BC30430|BC30431|BC30086|BC30072|BC30380|BC30382|BC30383|BC30460|BC30622|BC30621/,
    kind: "block not closed",
    says: "An end stands here without the beginning it belongs to.",
  },
  {
    pattern: /BC30188|BC30205|BC30035|BC30037|BC30180|BC30183|BC30203|BC30689|BC30289|BC30001/,
    kind: "word misplaced",
    says: "The line cannot be read as a statement.",
    usually: "A word is misspelt (Dim, As, Then …), or a sign is missing.",
  },
  {
    pattern: /BC30455|BC30057|BC30272|BC30105|BC30106/,
    kind: "wrong arguments",
    says: "A routine is handed too few or too many values.",
    usually: "A value or a comma is missing, or one too many stands between the brackets.",
  },
  {
    pattern: /BC30491/,
    kind: "type mismatch",
    says: "What stands here gives no value: a Sub is called where a Function is needed.",
  },
  {
    pattern: /BC30288|BC30616|BC30260|BC30269|BC30290/,
    kind: "declared twice",
    says: "The name is declared already.",
    usually: "A Dim stands a second time where only a value was to be given.",
  },
  {
    pattern: /BC30074|BC30526|BC30068/,
    kind: "value not allowed",
    says: "What stands on the left of = cannot be given a value.",
  },
  {
    pattern: /BC30439|BC30036/,
    kind: "overflow",
    says: "A constant is too large for its type.",
  },
  {
    pattern: /BC30542/,
    kind: "division by zero",
    says: "A constant is divided by 0: it is seen before the program runs.",
  },
  {
    pattern: /BC30209|BC30210/,
    kind: "unknown type",
    says: "A declaration says no type, and strict rules are on.",
    usually: "As and a type are missing behind the name.",
  },
  {
    pattern: /BC30389|BC30369|BC30469|BC30043/,
    kind: "not accessible",
    says: "What is asked for is private, or belongs to an object that is not named.",
  },
  {
    pattern: /BC30506|BC30590/,
    kind: "unknown member",
    says: "A routine says that it handles something that is not on the form, or an event that it does not have.",
    usually: "The name behind Handles is misspelt, or what stood on the form has another name now.",
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
