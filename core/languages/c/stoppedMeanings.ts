import type { Explanation } from "../explanation.ts";

const noLine = "No line is told. Where the program stopped has to be found with a debugger or with printed values.";

/** What is said of a C program that stops. */
export const stoppedMeanings: readonly Explanation[] = [
  {
    pattern: /AddressSanitizer: (?:heap|stack|global)-buffer-overflow/,
    kind: "index out of range",
    says: "The program reached past the end of an array or of memory it was given.",
  },
  {
    pattern: /AddressSanitizer: heap-use-after-free/,
    kind: "memory misused",
    says: "Memory was used after it was given back.",
  },
  {
    pattern: /AddressSanitizer: attempting double-free|free\(\): double free/,
    kind: "memory misused",
    says: "The same memory was given back twice.",
  },
  {
    pattern: /AddressSanitizer: stack-overflow/,
    kind: "stack exhausted",
    says: "A function went on calling itself until there was no room left.",
  },
  {
    pattern: /AddressSanitizer: SEGV/,
    kind: "memory misused",
    says: "The program reached for memory that is not its own.",
  },
  {
    pattern: /LeakSanitizer/,
    kind: "memory exhausted",
    says: "Memory was asked for and never given back.",
    unsaid: "The program ended by itself; its results are not touched.",
  },
  {
    pattern: /UndefinedBehavior: division by zero/,
    kind: "division by zero",
    says: "A whole number was divided by zero.",
  },
  {
    pattern: /UndefinedBehavior: index (-?\d+) out of bounds for type '(.+?)'/,
    kind: "index out of range",
    words: ["value", "type"],
    says: "Position $1 was asked of an array of type $2.",
  },
  { pattern: /UndefinedBehavior: .*overflow/, kind: "overflow", says: "A result does not fit into its type." },
  {
    pattern: /UndefinedBehavior: .*null pointer/,
    kind: "empty reference",
    says: "The program followed an address that is not set (NULL).",
  },
  {
    pattern: /UndefinedBehavior/,
    kind: "memory misused",
    says: "The program did something for which C promises no result.",
  },
  {
    pattern: /Assertion (.*) failed/,
    kind: "assertion",
    words: ["value"],
    says: "The condition $1, which the program states as certain, did not hold.",
  },
  {
    pattern: /stack smashing|buffer overflow detected|memory spoilt/,
    kind: "memory misused",
    says: "The program wrote past the end of an array or spoilt memory that it was given.",
    unsaid: "It is noticed only later: the line that did it is not told.",
  },
  {
    pattern: /SIGSEGV/,
    kind: "memory misused",
    says: "The program reached for memory that is not its own.",
    usually: "An index outside an array, an address that is not set, a missing & for scanf, or calls without end.",
    unsaid: noLine,
  },
  {
    pattern: /SIGFPE/,
    kind: "division by zero",
    says: "The program divided a whole number by zero.",
    unsaid: noLine,
    misleads: "It speaks of floating point, but whole numbers are meant: decimal numbers give inf.",
  },
  {
    pattern: /SIGABRT/,
    kind: "memory misused",
    says: "The program's library stopped it.",
    usually: "Memory was used wrongly, or a condition did not hold; a line above it may say which.",
    unsaid: noLine,
  },
  {
    pattern: /SIGKILL/,
    kind: "stopped",
    says: "The program was stopped from outside.",
    usually: "It used too much memory or time.",
  },
  { pattern: /SIGINT/, kind: "stopped", says: "Somebody stopped the program by hand." },
  {
    pattern: /SIGBUS|SIGILL/,
    kind: "memory misused",
    says: "The program was stopped by the machine for a wrong address or instruction.",
    unsaid: noLine,
  },
];
