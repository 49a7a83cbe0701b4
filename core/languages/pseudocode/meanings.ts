import type { Explanation } from "../explanation.ts";

/** What our interpreter's messages mean; what it says itself stands behind the name and is not said again. */
export const pseudocodeExplanations: readonly Explanation[] = [
  {
    pattern: /^(ENDIF|ENDCASE|ENDWHILE|NEXT|UNTIL|ENDPROCEDURE|ENDFUNCTION|ENDTYPE) missing/,
    ...{ kind: "block not closed", words: ["sign"], says: "A block is begun and never closed: $1 is missing." },
    usually:
      "The end was forgotten, or another word closes it. The line that is named is the one that begins the block.",
    unsaid: "Where the end belongs.",
  },
  {
    pattern: /^end without begin/,
    ...{ kind: "block not closed", says: "Something closes a block that was never begun." },
    usually: "The beginning is missing above, or there is one end too many.",
  },
  {
    pattern: /^(?:second else|routine inside|other counter)/,
    ...{ kind: "block not closed", says: "The blocks do not lie in one another as they are written." },
    usually: "An end is missing above.",
  },
  {
    pattern: /^(THEN|TO|DO|IN|OF|FOR) missing/,
    ...{ kind: "sign missing", words: ["sign"], says: "The word $1 is missing in the statement." },
  },
  {
    pattern: /^(\S+) missing/,
    ...{ kind: "sign missing", words: ["sign"], says: "Something is missing in the statement: $1." },
    unsaid: "Whether the slip is here or a little before.",
  },
  {
    pattern: /^(?:expression|name|first value|value|use|condition) missing/,
    kind: "sign missing",
    says: "A value or a name is missing here.",
  },
  { pattern: /^text not closed/, kind: "text not closed", says: "A text in quotes is not closed on its line." },
  {
    pattern:
      /^(?:no statement|other end|more on the line|sign not known|sign of elsewhere|no target|word as name|name begins with a digit|comparisons in a chain)/,
    ...{ kind: "word misplaced", says: "The line is no statement of the language as it stands." },
    usually: "A word is misspelt, an arrow is missing, or a sign does not belong there.",
  },
  {
    pattern: /^(?:arrow in condition|==? for ←)/,
    kind: "word misplaced",
    says: "The arrow gives a value, the equals sign compares; here it is the other one.",
  },
  { pattern: /^type not known/, kind: "unknown type", says: "A type is named that is not defined." },
  {
    pattern: /^(?:routine twice|parameter twice|name of the language)/,
    kind: "declared twice",
    says: "A name stands for two things.",
  },
  {
    pattern: /^(?:number of values|procedure as value|counter by reference)/,
    kind: "wrong arguments",
    says: "What is given to a routine, or taken from it, does not fit.",
  },
  {
    pattern: /^(?:return without value|return outside|nothing given back)/,
    kind: "return missing",
    says: "A function gives a value back with RETURN; a procedure and the program itself do not.",
  },
  { pattern: /^constant changed/, kind: "value not allowed", says: "A constant cannot be given another value." },
  {
    pattern: /^(?:name not known|routine not known)/,
    ...{ kind: "unknown name", says: "A name is used that nothing in the program gives a meaning." },
    usually: "It is misspelt on this line, or where it was meant to be given its value.",
    unsaid: "Which name was meant.",
  },
  {
    pattern: /^no value/,
    ...{ kind: "not set", says: "A name is read at a moment at which it has no value." },
    usually: "Its first value comes later, in a branch that was not taken, or it counted a loop that is over.",
  },
  {
    pattern: /^wrong kind/,
    ...{ kind: "type mismatch", says: "A value is of another kind than is needed there." },
    usually: "A text of digits was not made a number, or a number stands where a truth value or a text is needed.",
  },
  { pattern: /^no number/, kind: "conversion", says: "A text is no number." },
  { pattern: /^division by zero/, kind: "division by zero", says: "Nothing can be divided by 0." },
  {
    pattern: /^position outside/,
    ...{ kind: "index out of range", says: "A position is asked for that the array or text does not have." },
    usually: "A loop goes one too far, or counts from 0 where the first position is 1.",
  },
  { pattern: /^no such field/, kind: "unknown member", says: "A record has no field of that name." },
  { pattern: /^no more input/, kind: "no more input", says: "More input is asked for than was typed in." },
  {
    pattern: /^too many calls/,
    kind: "stack exhausted",
    says: "A routine calls itself again and again, and nothing ends that.",
  },
  {
    pattern: /^(?:no such file|file not open|file open|end of file)/,
    kind: "file missing",
    says: "A file is not there, not open as it is used, or has no more lines.",
  },
  { pattern: /^number too large/, kind: "overflow", says: "A number is too large to be worked out." },
  {
    pattern: /^(?:no result|step of zero|no such array)/,
    kind: "value not allowed",
    says: "With this value there is no result.",
  },
];
