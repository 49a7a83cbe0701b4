import type { Explanation } from "../explanation.ts";

/**
 * Messages of Free Pascal, of other Object Pascal compilers, and of the run-time library (Free Pascal User's guide,
 * "Error messages" and "Run time errors").
 */
export const pascalExplanations: readonly Explanation[] = [
  {
    pattern: /Syntax error, ";" expected but "ELSE" found/,
    kind: "sign missing",
    says: "A semicolon before else ended the if too early, or begin and end are missing.",
    misleads: "It asks for a semicolon where one is too many: a statement before else has none of its own.",
  },
  {
    pattern: /";" expected but "identifier (\w+)" found/,
    line: /(?<=(?::=|\()[^;]{0,200}[\w)\]]\s{1,8})(?<same>[A-Za-z_]\w*)/,
    kind: "sign missing",
    words: ["name"],
    says: "Before “$1” a sign is missing: two values stand beside each other.",
    usually: "An operator is missing or is no sign of Pascal (multiplied is *), or a comma between two values.",
    misleads: "It asks for a semicolon because a statement could end there.",
  },
  {
    pattern: /";" expected but "\." found|"?;"? expected but "?end of file"? found/,
    kind: "block not closed",
    says: "The program ends while a block is still open: an end is missing above.",
    usually: "Every begin, case and record needs an end of its own; count them upwards from here.",
    misleads: "It asks for a semicolon, and names the last line; the missing end belongs further up.",
  },
  {
    pattern: /(?:Syntax error, )?["']?;["']? expected but "?'?([^"']+?)"?'? found/,
    kind: "sign missing",
    words: ["sign"],
    says: "A semicolon is missing before “$1”.",
    usually: "At the end of the line above, past blank lines and comments.",
  },
  {
    pattern: /Syntax error, "([^"]+)" expected but "end of file" found/,
    kind: "block not closed",
    words: ["sign"],
    says: "The text ended too early.",
    usually: "An end, or the full stop after the last end, is missing.",
  },
  {
    pattern: /"?'?([^"']+?)"?'? expected but "?'?([^"']+?)"?'? found/,
    kind: "sign missing",
    words: ["sign", "sign"],
    says: "“$1” was expected where “$2” stands.",
    unsaid: "It is what the reader would have liked, not always what is missing.",
  },
  {
    pattern: /String exceeds line|Unterminated string/,
    kind: "text not closed",
    says: "A text in quotes is not closed on its line.",
  },
  { pattern: /Unexpected end of file/, kind: "block not closed", says: "The text ended inside a comment or block." },
  {
    pattern: /[Ii]dentifier not found:? "([^"]+)"|Undeclared identifier: '([^']+)'/,
    kind: "unknown name",
    words: ["name", "name"],
    says: "“$1$2” is declared nowhere.",
    usually: "It is misspelt, or its declaration or unit is missing.",
    unsaid: "Nothing was run: names are checked before.",
  },
  {
    pattern: /Incompatible types?: got "([^"]+)" expected "([^"]+)"|Incompatible types: '([^']+)' and '([^']+)'/,
    kind: "type mismatch",
    words: ["type", "type", "type", "type"],
    says: "A value of type $1$3 stands where $2$4 is needed.",
    unsaid: "It does not say whether the value or the type is the wrong one.",
  },
  {
    pattern: /Operator is not overloaded: "([^"]+)" (\S+) "([^"]+)"/,
    kind: "type mismatch",
    words: ["type", "sign", "type"],
    says: "The operator $2 cannot work with $1 and $3.",
    unsaid: "It does not know which of the two is the wrong one.",
  },
  {
    pattern:
      /Wrong number of parameters specified for call to "([^"]+)"|Not enough actual parameters|Too many actual parameters/,
    kind: "wrong arguments",
    words: ["name"],
    says: "The call gives another number of values than the routine takes.",
  },
  {
    pattern: /Duplicate identifier "([^"]+)"|Identifier redeclared: '([^']+)'/,
    kind: "declared twice",
    words: ["name", "name"],
    says: "“$1$2” is declared a second time in the same place.",
  },
  {
    pattern: /Can't find unit (\w+)|File not found: '([^']+)'/,
    kind: "file missing",
    words: ["name", "name"],
    says: "The unit $1$2 is not there.",
    usually: "Its name is misspelt.",
  },
  {
    pattern: /Illegal expression|Expression expected/,
    line: /^\s*(\w+)(?:\[[^\]]*\])?\s*=\s*[^=]/,
    kind: "sign missing",
    says: "A name is given a value by := in Pascal; = alone only compares.",
    usually: "Write “%1 := …”.",
  },
  {
    pattern: /Illegal expression|Expression expected/,
    line: /^\s*([A-Za-z_]\w*)\s+[\w'"]/,
    kind: "sign missing",
    says: "Between “%1” and what follows a sign is missing.",
    usually: "Where “%1” is to get a value that is := .",
  },
  {
    pattern: /Illegal expression|Expression expected/,
    kind: "word misplaced",
    says: "This cannot be read as a value.",
  },
  { pattern: /Illegal character/, kind: "encoding", says: "A sign stands here that does not belong to Pascal." },
  {
    pattern: /Argument cannot be assigned to|Variable identifier expected|Left side cannot be assigned/,
    kind: "word misplaced",
    says: "Something that is no variable stands where a value is to be stored.",
  },
  {
    pattern: /Division by zero/i,
    kind: "division by zero",
    says: "A number was divided by zero.",
    usually:
      "If the translator says it, the zero is written in the text; if the run stopped, ask where the zero came from.",
  },
  {
    pattern:
      /(?:Local v|V)ariable "?'?([^"']+?)"?'? (?:does not seem to be|of a managed type does not seem|might not have been|read but nowhere)/,
    kind: "not set",
    words: ["name"],
    says: "The variable “$1” may be used before it is given a value.",
    usually: "A local then holds whatever was in memory.",
  },
  {
    pattern: /Function result (?:variable )?does not seem to be (?:set|initialized)|Return value of function/,
    kind: "return missing",
    says: "The function may end without giving a result.",
  },
  {
    pattern:
      /(?:variable|Variable|parameter|Parameter|Unit|Value assigned to) "?'?([^"']+?)"?'? (?:is assigned but never used|not used|never used|is declared but never used)/,
    kind: "unused",
    words: ["name"],
    says: "“$1” is declared and never used.",
    usually: "Often a misspelt name elsewhere.",
  },
  { pattern: /unreachable code/i, kind: "unreachable", says: "No way leads to this statement." },
  {
    pattern: /Comparison might be always (true|false)/,
    kind: "suspicious condition",
    words: ["value"],
    says: "This comparison always gives $1.",
  },
  {
    pattern: /range check error while evaluating constants|Constant .* out of range/i,
    kind: "index out of range",
    says: "A number that is written in the text lies outside its declared range.",
  },
  {
    pattern: /Runtime error 201|ERangeError/,
    kind: "index out of range",
    says: "An index or value was outside its declared range.",
  },
  {
    pattern: /Runtime error 106|Invalid numeric format/,
    kind: "conversion",
    says: "What was typed in does not look like a number.",
  },
  {
    pattern: /EConvertError: ?"?'?([^"']*?)"?'? is (?:an invalid|not a valid) (\w+)/,
    kind: "conversion",
    words: ["value", "type"],
    says: "The text “$1” was to be made into a number ($2) and does not look like one.",
  },
  {
    pattern: /EConvertError/,
    kind: "conversion",
    says: "A text was to be made into a number and does not look like one.",
  },
  {
    pattern: /Runtime error 2\b|EInOutError: File not found|EFOpenError/,
    kind: "file missing",
    says: "A file was to be opened that is not there.",
  },
  {
    pattern: /Runtime error 103|EInOutError: File not open/,
    kind: "file missing",
    says: "A file was used that is not open.",
  },
  {
    pattern: /Runtime error 202|EStackOverflow/,
    kind: "stack exhausted",
    says: "A routine went on calling itself until there was no room left.",
    usually: "The case that ends it is missing or never reached.",
  },
  {
    pattern: /Runtime error 203|EOutOfMemory/,
    kind: "memory exhausted",
    says: "The program asked for more memory than it may have.",
  },
  {
    pattern: /Runtime error 204|EInvalidPointer/,
    kind: "memory misused",
    says: "Memory was given back that was not the program's to give back.",
  },
  {
    pattern: /Runtime error 20[5-7]|EOverflow|EInvalidOp/,
    kind: "overflow",
    says: "A calculation with decimal numbers has no result that fits.",
  },
  { pattern: /Runtime error 215|EIntOverflow/, kind: "overflow", says: "A number is too large for its type." },
  {
    pattern: /Runtime error 216|EAccessViolation|SIGSEGV/,
    kind: "memory misused",
    says: "The program reached for memory that is not its own.",
    usually: "Often an object or list that was never made.",
  },
  {
    pattern: /Runtime error 217/,
    kind: "raised on purpose",
    says: "An exception was raised and nobody handled it; without its unit the number is all that is told.",
  },
  {
    pattern: /Runtime error 219|EInvalidCast/,
    kind: "type mismatch",
    says: "An object was taken for another class than its own.",
  },
  {
    pattern: /Runtime error 227|EAssertionFailed/,
    kind: "assertion",
    says: "A condition that the program itself states as certain did not hold.",
  },
  { pattern: /SIGFPE|EDivByZero|EZeroDivide/, kind: "division by zero", says: "A number was divided by zero." },
  {
    pattern: /EInOutError: Invalid input/,
    kind: "conversion",
    says: "What was typed in is not of the kind that was asked for.",
  },
  {
    pattern: /EStringListError|List index (?:\((-?\d+)\) )?out of bounds/,
    kind: "index out of range",
    words: ["value"],
    says: "A position was asked for that the list does not have.",
  },
];
