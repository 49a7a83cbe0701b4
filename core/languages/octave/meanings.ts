import { createMeanings } from "../meaning.ts";

/** What Octave's messages say in plain words. */
export const meaningOfOctaveMessage = createMeanings([
  [/parse error: .*'?end'?/, "A block's end is missing or one too many stands here. Nothing was run."],
  [/parse error/, "The reading of the program stopped here because the next sign does not fit. The slip is on this line or before it. Nothing was run."],
  [/'([^']+)' undefined/, "“$1” has no value at this moment and is no function. It may be misspelt, or its first value comes later or never."],
  [/index \(0|index \((?:_,)?0|out of bound; value 0/, "Position 0 was asked for; positions start at 1."],
  [/out of bound ([\d]+)/, "A position was asked for that is not there. Positions start at 1 and the last one is $1."],
  [/nonconformant arguments/, "The sizes of the two values do not fit for this operation. For element by element, put a point before the sign."],
  [/subscripts must be either integers/, "A position must be a whole number from 1 on."],
  [/called with too many inputs/, "The call gives more values than the function takes."],
  [/called with too many outputs/, "More results are asked for than the function gives."],
  [/reading user-input failed/, "The program asked for more input than was typed in."],
  [/division by zero/, "A number was divided by zero."],
  [/wrong type argument|binary operator '.*' not implemented/, "The operation cannot work with values of these kinds."],
  [
    /max_recursion_depth exceeded/,
    "A function went on calling itself until there was no room left. Usually the case that ends it is missing or never reached.",
  ],
  [/out of memory/, "The program asked for more memory than it may have."],
  [/vertical dimensions mismatch|horizontal dimensions mismatch/, "The parts of a matrix do not have sizes that fit together."],
]);
