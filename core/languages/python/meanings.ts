import type { Diagnostic } from "../../outcome/outcome.ts";

/** Meanings by error name; a function where the message's own words matter. */
const meanings: Record<string, string | ((message: string) => string)> = {
  SyntaxError: (message) =>
    /was never closed/.test(message)
      ? "A bracket was opened and its partner was not found. The named line is where it was opened; the missing one may belong further down."
      : /unterminated|EOL while scanning|EOF while scanning/.test(message)
        ? "A text in quotes was begun and its closing quote was not found."
        : /expected ':'/.test(message)
          ? "A line that opens a block needs a colon at its end."
          : "The reading of the program stopped here because the next sign does not fit. The slip is on this line or before it. Nothing was run.",
  IndentationError: "The indentation of a line does not fit the lines around it. Compare it with the line above and the block's first line. Nothing was run.",
  TabError: "Tabs and blanks are mixed in the indentation, so its depth cannot be told. Nothing was run.",
  NameError: "A name was used that has no value at this moment. It may be misspelt, or its first value comes later or never.",
  UnboundLocalError: "A variable of this function was used before it had a value. Giving it a value anywhere in the function makes it the function's own.",
  TypeError: "An operation or call met a value of a kind it cannot work with. The message names the kinds; it does not know which of them is the wrong one.",
  ValueError: "The kind of value was right, but this value cannot be used here.",
  IndexError: "A position was asked for that the list or text does not have. Positions start at 0, so the last one is the length less one.",
  KeyError: "A key was looked up that the dictionary does not hold.",
  ZeroDivisionError: "A division by zero was met. Ask where the zero came from: a count, an input, a start value.",
  AttributeError: "A value was asked for something that its kind does not have. The name may be misspelt or the value of another kind than thought.",
  FileNotFoundError: "A file was to be opened that is not there.",
  ModuleNotFoundError: "A module was to be imported that is not there. Its name may be misspelt.",
  ImportError: "A module is there, but not the name that was asked of it.",
  RecursionError: "A function went on calling itself until there was no room left. Usually the case that ends it is missing or never reached.",
  EOFError: "The program asked for more input than was typed in.",
  OverflowError: "A result is too large for its kind of number.",
  AssertionError: "A condition that the program itself states as certain did not hold.",
};

/** What a message of CPython says in plain words, or null for one that is not known. */
export function meaningOfMessage(diagnostic: Diagnostic): string | null {
  const meaning = meanings[diagnostic.errorName ?? ""];
  if (meaning === undefined) return null;
  return typeof meaning === "string" ? meaning : meaning(diagnostic.message);
}
