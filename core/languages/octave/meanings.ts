import type { Explanation } from "../explanation.ts";

/** Messages of Octave and of the matrix language's other wording (GNU Octave manual, "Errors and Warnings"). */
export const octaveExplanations: readonly Explanation[] = [
  {
    pattern: /parse error: .*'?end'?/,
    kind: "block not closed",
    says: "A block's end is missing, or one too many stands here.",
    unsaid: "Nothing was run.",
  },
  {
    pattern:
      /parse error: .*(?:unterminated character string|String is not terminated|Character vector is not terminated)/i,
    kind: "text not closed",
    says: "A text in quotes is not closed on its line.",
  },
  {
    pattern:
      /parse error: .*(?:[Uu]nbalanced or unexpected parenthesis|Mismatched delimiters|mismatched parentheses|Expression or statement is (?:incomplete|incorrect))/,
    kind: "bracket not closed",
    says: "Brackets do not fit together, or a statement is not finished here.",
  },
  {
    pattern: /parse error/,
    kind: "word misplaced",
    says: "The reading of the program stopped here because the next sign does not fit.",
    usually: "The slip is on this line or before it: a bracket, quote or end is missing.",
    unsaid: "Nothing was run, so later faults are still hidden.",
  },
  {
    pattern: /'([^']+)' undefined/,
    kind: "unknown name",
    words: ["name"],
    says: "“$1” has no value at this moment and is no function.",
    usually: "It is misspelt, or its first value comes later or never.",
    unsaid: "Lines before it did run: this is no syntax error.",
  },
  {
    pattern: /(?:Undefined|Unrecognized) function or variable '([^']+)'/,
    kind: "unknown name",
    words: ["name"],
    says: "“$1” has no value at this moment and is no function.",
    usually: "It is misspelt, or its first value comes later or never.",
  },
  {
    pattern: /Undefined function '([^']+)' for input arguments of type '([^']+)'/,
    kind: "unknown name",
    words: ["name", "type"],
    says: "No function “$1” that takes $2 is known.",
    usually: "It is misspelt, or the value is of another kind than thought.",
  },
  {
    pattern: /index \((?:_,)*0|out of bound; value 0|Array indices must be positive/,
    kind: "index out of range",
    says: "Position 0 or less was asked for; positions start at 1.",
  },
  {
    pattern: /(?:index \((?:_,)*)?(-?\d+)(?:,_)*\)?: out of bound (\d+)(?: \(dimensions are (\S+)\))?/,
    kind: "index out of range",
    words: ["value", "value", "value"],
    says: "Position $1 was asked for; the last one is $2.",
    usually: "Positions start at 1. A loop goes one too far, or the row is shorter than thought.",
  },
  {
    pattern: /out of bound|Index exceeds (?:the number of array elements|matrix dimensions|array bounds)(?:\D*(\d+))?/,
    kind: "index out of range",
    words: ["value"],
    says: "A position was asked for that is not there.",
    usually: "Positions start at 1.",
  },
  {
    pattern: /operator (\S+): nonconformant arguments \(op1 is (\S+), op2 is (\S+)\)/,
    kind: "type mismatch",
    words: ["sign", "value", "value"],
    says: "The operation $1 met values of size $2 and $3, which do not fit.",
    usually: "For element by element put a point before the sign.",
    unsaid: "It does not know which of the two is the wrong one.",
  },
  {
    pattern:
      /nonconformant arguments|Matrix dimensions must agree|incompatible sizes|Inner matrix dimensions must agree/,
    kind: "type mismatch",
    says: "The sizes of the two values do not fit for this operation.",
    usually: "For element by element put a point before the sign.",
  },
  {
    pattern: /subscripts must be either integers/,
    kind: "index out of range",
    says: "A position must be a whole number from 1 on.",
  },
  {
    pattern:
      /(?:Invalid call to|called with too (?:many|few) inputs|Too many input arguments|Not enough input arguments)(?: ?(\w+))?/,
    kind: "wrong arguments",
    words: ["name"],
    says: "The call gives other values than the function takes.",
  },
  {
    pattern: /called with too many outputs|Too many output arguments/,
    kind: "wrong arguments",
    says: "More results are asked for than the function gives.",
  },
  {
    pattern:
      /value on the right hand side of the assignment not defined|element number \d+ undefined in return list|'(\w+)' undefined/,
    kind: "return missing",
    words: ["name"],
    says: "The function gave no result.",
    usually: "Its result variable is misspelt or is set in one branch only.",
  },
  {
    pattern: /reading user-input failed/,
    kind: "no more input",
    says: "The program asked for more input than was typed in.",
  },
  { pattern: /division by zero/, kind: "division by zero", says: "A number was divided by zero." },
  {
    pattern:
      /wrong type argument '([^']+)'|binary operator '([^']+)' not implemented for '([^']+)' by '([^']+)' operations/,
    kind: "type mismatch",
    words: ["type", "sign", "type", "type"],
    says: "The operation cannot work with values of these kinds.",
    unsaid: "It does not know which of them is the wrong one.",
  },
  {
    pattern: /max_recursion_depth exceeded|Maximum recursion limit/,
    kind: "stack exhausted",
    says: "A function went on calling itself until there was no room left.",
    usually: "The case that ends it is missing or never reached.",
  },
  { pattern: /out of memory/i, kind: "memory exhausted", says: "The program asked for more memory than it may have." },
  {
    pattern:
      /(?:vertical|horizontal) dimensions mismatch \((\S+) vs (\S+)\)|Dimensions of (?:matrices|arrays) being concatenated/,
    kind: "type mismatch",
    words: ["value", "value"],
    says: "The parts of a matrix do not have sizes that fit together.",
  },
  {
    pattern: /=: nonconformant arguments|A\(I\) = X|Unable to perform assignment/,
    kind: "type mismatch",
    says: "What is given does not have the size of the place that it is given to.",
  },
  {
    pattern: /scalar cannot be indexed with|matrix cannot be indexed with|invalid use of a/,
    kind: "unknown member",
    says: "A value is used as something that it is not: as a structure or with a wrong kind of bracket.",
  },
  {
    pattern: /could not find any|No such file|nonexistent|unable to (?:open|find)|could not open/i,
    kind: "file missing",
    says: "A file was to be opened that is not there.",
  },
];
