import type { Explanation } from "../explanation.ts";

/** Exceptions of .NET that its languages share (.NET API, namespace System). */
export const dotnetExplanations: readonly Explanation[] = [
  {
    pattern: /IndexOutOfRangeException/,
    kind: "index out of range",
    says: "A position was asked for that the array does not have.",
    usually: "Positions start at 0, so the last one is the length less one.",
    unsaid: "It says neither the position nor the length.",
  },
  {
    pattern: /ArgumentOutOfRangeException/,
    kind: "index out of range",
    says: "A position or value outside what is allowed was given.",
  },
  {
    pattern: /NullReferenceException/,
    kind: "empty reference",
    says: "Something was asked of a variable that holds no object (null).",
    unsaid: "It does not say which variable.",
  },
  {
    pattern: /DivideByZeroException/,
    kind: "division by zero",
    says: "A whole number was divided by zero.",
    usually: "Ask where the zero came from: a count, an input, a start value.",
  },
  {
    pattern: /(?:FormatException|InvalidCastException).*[Cc]onversion from string "([^"]*)" to type '([^']+)'/,
    kind: "conversion",
    words: ["value", "type"],
    says: "The text “$1” was to be made into $2 and does not look like one.",
    usually: "It came from an input box or a file; an empty box gives an empty text.",
  },
  {
    pattern: /FormatException: Index \(zero based\)/,
    kind: "wrong arguments",
    says: "A text with places in braces asks for more values than it was given.",
    usually: "The first place is {0}: count the places and the values behind the text.",
  },
  {
    pattern: /FormatException/,
    kind: "conversion",
    says: "A text was to be made into a number and does not look like one.",
  },
  {
    pattern: /ArgumentNullException/,
    kind: "empty reference",
    says: "A value was needed and nothing (null) was given.",
    usually: "Often there was no more input.",
  },
  {
    pattern: /InvalidCastException/,
    kind: "type mismatch",
    says: "An object was taken for another type than its own.",
  },
  {
    pattern: /KeyNotFoundException/,
    kind: "key missing",
    says: "A key was looked up that the dictionary does not hold.",
  },
  { pattern: /(?<!Stack)OverflowException/, kind: "overflow", says: "A number is too large for its type." },
  {
    pattern: /InvalidOperationException: Collection was modified/,
    kind: "changed while looping",
    says: "A list was changed while a loop was going through it.",
  },
  {
    pattern: /InvalidOperationException/,
    kind: "value not allowed",
    says: "The object cannot do this in its present state.",
  },
  {
    pattern: /(?:File|Directory)NotFoundException/,
    kind: "file missing",
    says: "A file was to be opened that is not there.",
    usually: "It lies in another folder than the one that the program runs in.",
  },
  {
    pattern: /StackOverflow/,
    kind: "stack exhausted",
    says: "A method went on calling itself until there was no room left.",
    usually: "The case that ends it is missing or never reached.",
  },
  {
    pattern: /OutOfMemoryException/,
    kind: "memory exhausted",
    says: "The program asked for more memory than it may have.",
  },
  {
    pattern: /ArgumentException/,
    kind: "value not allowed",
    says: "A method was called with a value that it does not allow.",
  },
];

/** Messages of C# compilers (C# compiler errors, by code). */
export const csharpExplanations: readonly Explanation[] = [
  {
    pattern: /Unexpected symbol [`']end-of-file'|CS1513: } expected/,
    kind: "block not closed",
    says: "The text ended inside a block.",
    usually: "A closing brace is missing somewhere above, perhaps far above.",
  },
  {
    pattern: /Unexpected symbol [`']([^']+)'(?:.*expecting (.*))?/,
    kind: "sign missing",
    words: ["sign", "sign"],
    says: "The reading stopped at “$1”.",
    usually: "The slip is here or just before: often a semicolon, bracket or operator is missing on the line above.",
    unsaid: "The signs it asks for are what the reader would have liked, not always what is missing.",
  },
  {
    pattern: /CS1002|; expected/,
    kind: "sign missing",
    says: "A statement is not ended; the semicolon is missing before the place that is named.",
  },
  { pattern: /CS1026|\) expected/, kind: "bracket not closed", says: "A closing bracket was expected here." },
  {
    pattern: /CS1022|Type or namespace definition, or end-of-file expected/,
    kind: "block not closed",
    says: "Something stands outside every class.",
    usually: "A brace too many closed the class above.",
  },
  {
    pattern: /CS1010|Newline in constant/,
    kind: "text not closed",
    says: "A text in quotes is not closed on its line.",
  },
  {
    pattern: /CS1525|Invalid expression term '([^']+)'/,
    kind: "word misplaced",
    words: ["sign"],
    says: "No value can begin with “$1” here.",
  },
  {
    pattern: /The name [`'](\w+)' does not exist/,
    kind: "unknown name",
    words: ["name"],
    says: "“$1” is not known here.",
    usually: "It is misspelt, declared in another block, or not declared.",
    unsaid: "Nothing was run: names are checked before.",
  },
  {
    pattern: /type or namespace name [`'](\w+)'/,
    kind: "unknown type",
    words: ["name"],
    says: "The type “$1” is not known.",
    usually: "It is misspelt, or a using line is missing.",
  },
  {
    pattern: /[`']([^'`]+)' does not contain a definition for [`'](\w+)'/,
    kind: "unknown member",
    words: ["type", "name"],
    says: "“$1” has nothing called “$2”.",
    usually: "It is misspelt; letter case counts.",
  },
  {
    pattern: /Cannot implicitly convert type [`']([^']+)' to [`']([^']+)'/,
    kind: "type mismatch",
    words: ["type", "type"],
    says: "A value of type $1 stands where $2 is needed.",
    unsaid: "It does not say whether the value or the type is the wrong one.",
  },
  {
    pattern: /CS0020|Division by constant zero/,
    kind: "division by zero",
    says: "A number is divided by a literal zero, and the translator refuses that.",
    unsaid: "A zero from a variable would be accepted and stop the program when the line is reached.",
  },
  {
    pattern: /Use of unassigned local variable [`'](\w+)'/,
    kind: "not set",
    words: ["name"],
    says: "The variable “$1” may not have been given a value on every way to this line.",
  },
  {
    pattern: /not all code paths return a value/,
    kind: "return missing",
    says: "The method may end without returning a value.",
  },
  {
    pattern: /already contains a definition|already defined|A local variable named [`'](\w+)'/,
    kind: "declared twice",
    words: ["name"],
    says: "The name is declared a second time in the same place.",
  },
  {
    pattern: /An object reference is required/,
    kind: "not accessible",
    says: "Something that belongs to an object is used without an object.",
  },
  {
    pattern: /CS5001|does not contain a static [`']Main'/,
    kind: "entry point missing",
    says: "It was translated, but there is no static Main to start in.",
  },
  {
    pattern: /is inaccessible due to its protection level/,
    kind: "not accessible",
    says: "It is private to its class.",
  },
  {
    pattern: /Operator [`']([^']+)' cannot be applied to operands? of type [`']([^']+)'(?: and [`']([^']+)')?/,
    kind: "type mismatch",
    words: ["sign", "type", "type"],
    says: "The operator $1 cannot work with $2 and $3.",
    unsaid: "It does not know which of the two is the wrong one.",
  },
  {
    pattern:
      /No overload for method [`'](\w+)'|does not contain a constructor that takes|has some invalid arguments|Argument [`']?#?\d+'? cannot convert/,
    kind: "wrong arguments",
    words: ["name"],
    says: "The call gives other values than the method takes.",
  },
  {
    pattern: /is assigned but its value is never used|is declared but never used|never used/,
    kind: "unused",
    says: "Something is declared and never used.",
    usually: "Often a misspelt name elsewhere.",
  },
  {
    pattern: /is never assigned to/,
    kind: "not set",
    says: "A field is never given a value; it keeps 0, false or null.",
  },
  { pattern: /Unreachable code/, kind: "unreachable", says: "No way leads to this statement." },
  {
    pattern: /Possible mistaken empty statement/,
    kind: "suspicious condition",
    says: "A semicolon right behind the condition is its whole body.",
    usually: "What stands below runs always.",
  },
  {
    pattern: /Assignment in conditional expression/,
    kind: "suspicious condition",
    says: "A single = stores a value; a comparison needs ==.",
  },
  {
    pattern: /Assignment made to same variable/,
    kind: "suspicious condition",
    says: "A variable is given its own value.",
  },
  { pattern: /obsolete/, kind: "outdated", says: "Something is used that is to go in a later version." },
  ...dotnetExplanations,
];
