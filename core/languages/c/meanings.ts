import { createMeanings } from "../meaning.ts";

/** What messages of gcc, of its linker and of signals say in plain words. */
export const meaningOfCMessage = createMeanings([
  [
    /expected [‘'];['’] before/,
    "A statement is not ended. The sign named is where the reading stopped; the semicolon is missing before it, often at the end of the line above.",
  ],
  [/expected declaration or statement at end of input/, "The text ended inside a block: a closing brace is missing somewhere above, perhaps far above."],
  [/expected .* at end of input/, "The text ended too early: a bracket, brace or semicolon is missing above."],
  [/expected [‘']([^’']+)['’]/, "The sign “$1” was expected here or just before. It is what the reader would have liked, not always what is missing."],
  [/expected identifier or [‘']\(['’]/, "Something stands outside every function that may not stand there; often a brace too many closed the function above."],
  [/expected expression/, "A value was expected here and something else was found."],
  [/missing terminating/, "A text in quotes is not closed on its line."],
  [/stray [‘']/, "A sign that does not belong to C; often a quote or dash that a text program has changed."],
  [/undeclared|not declared/, "A name is used that is declared nowhere above. It may be misspelt, or its declaration is missing."],
  [/unknown type name/, "A type is named that is not known here. It may be misspelt, or a header is missing."],
  [/implicit declaration of function/, "A function is called that was declared nowhere above. It may be misspelt, or a header or prototype is missing."],
  [/undefined reference to [`‘']main/, "Every piece was translated, but there is no function main to start in."],
  [
    /undefined reference to [`‘'](\w+)/,
    "Every piece was translated, but the function or variable “$1” that one of them uses is nowhere. It may be misspelt, or a file is missing.",
  ],
  [/multiple definition/, "The same function or variable is defined twice."],
  [/No such file or directory/, "A file that is to be included is not there. Its name may be misspelt."],
  [/makes pointer from integer|makes integer from pointer/, "An address and a number are mixed up: a & or * may be missing or too many."],
  [/format [‘'].*expects argument of type/, "The letter after % does not fit the value given; for scanf often the & is missing."],
  [/too (?:few|many) arguments/, "The call gives another number of values than the function takes."],
  [/conflicting types/, "The function is declared and defined in two ways that do not fit."],
  [/lvalue required/, "Something that is no variable stands where a value is to be stored."],
  [/incompatible type/, "A value of one type is given where another is needed."],
  [/control reaches end of non-void/, "The function may end without returning a value."],
  [/may be used uninitialized|is used uninitialized/, "The variable may be used before it is given a value; it then holds whatever was in memory."],
  [/suggest parentheses around assignment/, "A single = stores a value; a comparison needs ==."],
  [/unused/, "Something is declared and never used; often a misspelt name elsewhere."],
  [
    /SIGSEGV/,
    "The program reached for memory that is not its own: an index outside an array, an address that is not set, a missing & for scanf, or calls without end. No line is told.",
  ],
  [/SIGFPE/, "The program divided a whole number by zero. No line is told."],
  [/SIGABRT/, "The program's library stopped it, for memory used wrongly or a condition that did not hold. No line is told."],
  [/SIGBUS|SIGILL/, "The program was stopped by the machine for a wrong address or instruction. No line is told."],
]);
