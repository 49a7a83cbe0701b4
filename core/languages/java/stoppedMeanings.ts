import type { Explanation } from "../explanation.ts";

/** What a Java machine says of a program that stops, and the warnings that may come beside it. */
export const stoppedMeanings: readonly Explanation[] = [
  {
    pattern: /(?:Index (-?\d+) out of bounds for length (\d+))/,
    kind: "index out of range",
    words: ["value", "value"],
    says: "Position $1 was asked for; there are $2, so the positions are 0 up to one less than that.",
    usually: "A loop goes one too far, or the array is shorter than thought.",
  },
  {
    pattern: /begin (-?\d+), end (-?\d+), length (\d+)/,
    kind: "index out of range",
    words: ["value", "value", "value"],
    says: "A piece from $1 to $2 was asked of a text of length $3.",
  },
  {
    pattern: /ArrayIndexOutOfBoundsException|StringIndexOutOfBounds|IndexOutOfBounds/,
    kind: "index out of range",
    says: "A position was asked for that is not there. Positions start at 0.",
  },
  {
    pattern: /ArithmeticException: \/ by zero/,
    kind: "division by zero",
    says: "A whole number was divided by zero.",
    usually: "Ask where the zero came from: a count, an input, a start value.",
  },
  {
    pattern: /NullPointerException: Cannot .*because "<(?:local|parameter)(\d+)>" is null/,
    kind: "empty reference",
    says: "Something was asked of a local variable or parameter that holds no object (null).",
    usually: "It was never given one, or a method gave null back.",
    unsaid:
      "Its name: the program was translated without names of variables. Number $1 counts parameters first, then variables as they are declared.",
  },
  {
    pattern: /NullPointerException: Cannot \w+ .*because "([^"]+)" is null/,
    kind: "empty reference",
    words: ["name"],
    says: "Something was asked of “$1”, which holds no object (null).",
    usually: "It was never given one, or a method gave null back.",
  },
  {
    pattern: /NullPointerException/,
    kind: "empty reference",
    says: "Something was asked of a variable that holds no object (null).",
  },
  {
    pattern: /NumberFormatException: For input string: "([^"]*)"/,
    kind: "conversion",
    words: ["value"],
    says: "The text “$1” was to be made into a number and does not look like one.",
  },
  {
    pattern: /NumberFormatException/,
    kind: "conversion",
    says: "A text was to be made into a number and does not look like one.",
  },
  {
    pattern: /InputMismatchException/,
    kind: "conversion",
    says: "What was typed in is not of the kind that was asked for.",
  },
  {
    pattern: /NoSuchElementException/,
    kind: "no more input",
    says: "More was asked for than there is.",
    usually: "More input than was typed in, or a list that is empty.",
  },
  { pattern: /ClassCastException/, kind: "type mismatch", says: "An object was taken for another class than its own." },
  {
    pattern: /StackOverflowError/,
    kind: "stack exhausted",
    says: "A method went on calling itself until there was no room left.",
    usually: "The case that ends it is missing or never reached.",
  },
  {
    pattern: /OutOfMemoryError/,
    kind: "memory exhausted",
    says: "The program asked for more memory than it may have.",
  },
  {
    pattern: /ConcurrentModificationException/,
    kind: "changed while looping",
    says: "A list was changed while a loop was going through it.",
  },
  {
    pattern: /NegativeArraySizeException/,
    kind: "value not allowed",
    says: "An array was to be made with fewer than no places.",
  },
  {
    pattern: /FileNotFoundException: (\S+)/,
    kind: "file missing",
    words: ["name"],
    says: "The file “$1” was to be opened and is not there.",
    usually: "It lies in another folder than the one that the program runs in.",
  },
  {
    pattern: /IllegalArgumentException|IllegalStateException/,
    kind: "value not allowed",
    says: "A method was called with a value, or at a time, that it does not allow.",
    usually: "It may be raised on purpose, by a rule of the program.",
  },
  {
    pattern: /rawtypes|raw type/,
    kind: "type mismatch",
    says: "A list or the like is used without saying what it holds.",
    usually: "A wrong kind of value in it would be noticed only when it is used.",
  },
  {
    pattern: /unchecked/,
    kind: "type mismatch",
    says: "The translator cannot check what kind of values go in here.",
    usually: "A wrong kind of value would be noticed only when it is used.",
  },
  {
    pattern: /fallthrough|fall-through/,
    kind: "suspicious condition",
    says: "A case has no break, so the next case is done as well.",
    usually: "Two branches run where one is meant.",
  },
  {
    pattern: /The value of the local variable (\w+) is not used/,
    kind: "unused",
    words: ["name"],
    says: "“$1” is declared and never used.",
    usually: "Often a misspelt name elsewhere.",
  },
  {
    pattern: /The import (\S+) is never used/,
    kind: "unused",
    words: ["name"],
    says: "The import of $1 is not needed.",
    usually: "It does no harm by itself; an editor may have added a wrong one.",
  },
  { pattern: /deprecat/, kind: "outdated", says: "Something is used that is to go in a later version." },
  { pattern: /resource leak|Resource leak/, kind: "unused", says: "Something was opened and is never closed." },
  {
    pattern: /The static (?:field|method) \S+ should be accessed in a static way|static\]/,
    kind: "not accessible",
    says: "Something of the class is asked of an object.",
    usually: "It works, but reads as if it belonged to the object.",
  },
];
