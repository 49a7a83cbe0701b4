import { createMeanings } from "../meaning.ts";

/** What messages of Free Pascal and its run-time library say in plain words. */
export const meaningOfPascalMessage = createMeanings([
  [
    /Syntax error, ";" expected but "ELSE" found/,
    "A statement before else has no semicolon of its own: one too many stands there, or begin and end are missing.",
  ],
  [/Syntax error, ";" expected but "([^"]+)" found/, "A semicolon is missing before “$1”, usually at the end of the line above."],
  [/Syntax error, "([^"]+)" expected but "end of file" found/, "The text ended too early: an end, or the full stop after the last end, is missing."],
  [
    /Syntax error, "([^"]+)" expected but "([^"]+)" found/,
    "“$1” was expected where “$2” stands. It is what the reader would have liked, not always what is missing.",
  ],
  [/String exceeds line/, "A text in quotes is not closed on its line."],
  [/Unexpected end of file/, "The text ended inside a comment or block."],
  [/Identifier not found "([^"]+)"/, "“$1” is declared nowhere. It may be misspelt, or its declaration or unit is missing."],
  [/Incompatible types: got "([^"]+)" expected "([^"]+)"/, "A value of type $1 stands where $2 is needed."],
  [/Wrong number of parameters/, "The call gives another number of values than the routine takes."],
  [/Duplicate identifier/, "The name is declared a second time in the same place."],
  [/Can't find unit (\w+)/, "The unit $1 is not there. Its name may be misspelt."],
  [/Illegal expression/, "This cannot be read as a value."],
  [
    /[Dd]ivision by zero/,
    "A number was divided by zero. If the translator says it, the zero is written in the text; if the run stopped, ask where the zero came from.",
  ],
  [/does not seem to be initialized/, "The variable may be used before it is given a value."],
  [/not used/, "Something is declared and never used; often a misspelt name elsewhere."],
  [/Runtime error 201|ERangeError/, "An index or value was outside its declared range."],
  [/Runtime error 106|Invalid numeric format|EConvertError/, "What was typed or converted does not look like a number."],
  [/Runtime error 2\b|EInOutError: File not found/, "A file was to be opened that is not there."],
  [
    /Runtime error 202|EStackOverflow/,
    "A routine went on calling itself until there was no room left. Usually the case that ends it is missing or never reached.",
  ],
  [/Runtime error 203|EOutOfMemory/, "The program asked for more memory than it may have."],
  [/Runtime error 204|EInvalidPointer/, "Memory was given back that was not the program's to give back."],
  [/Runtime error 215|EIntOverflow/, "A number is too large for its type."],
  [/Runtime error 216|EAccessViolation/, "The program reached for memory that is not its own: often an object or list that was never made."],
  [/EInOutError: Invalid input/, "What was typed in is not of the kind that was asked for."],
]);
