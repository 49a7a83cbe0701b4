/** Names of the library that any Basic has, never a person's. */
export const basicWords: readonly string[] = (
  "MsgBox InputBox Debug Print Val Str CInt CDbl CStr CLng Len Mid Left Right UCase LCase Trim Format Now Date Time Timer Int Fix Abs Sgn Sqr Rnd IsNumeric IsEmpty InStr " +
  "Replace Split Join Chr Asc Space UBound LBound Array Integer Double Single String Boolean Long Object Variant Collection Count Math Randomize"
).split(" ");

/** The same in small letters beside them, since letter case does not count. */
export const inAnyCase = (words: readonly string[]): string[] => [
  ...words,
  ...words.map((word) => word.toLowerCase()),
  ...words.map((word) => word.toUpperCase()),
];
