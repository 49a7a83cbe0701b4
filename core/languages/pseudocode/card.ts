import { type ReferenceCard, routines, rows } from "../referenceCard.ts";

/** What beginners look up of pseudocode (docs/pseudocode.md), in our own words. */
export const pseudocodeCard: ReferenceCard = {
  rows: rows(`
brackets | ( ) calls and grouping, [ ] positions and lists | bracket-kinds-mixed
quotes | " " or ' ' around texts, closed on the same line | quote-not-closed
end of a statement | the end of the line
blocks | from the header to its own end word: IF … ENDIF, WHILE … ENDWHILE, FOR … NEXT | brace-missing-or-surplus
giving a value | the arrow gives a value, = compares, ≠ or <> are unequal | assignment-for-comparison
limits | FOR takes its last value in; the counter has no value afterwards | limit-off-by-one
counting down | STEP -1 | loop-direction-wrong
and, or, not | NOT binds before AND, AND before OR | and-or-without-brackets
positions | the first is 1 unless an array is declared otherwise | index-past-end
division | / gives a number with decimals, DIV the whole quotient, MOD the rest | whole-number-division
texts | & joins anything, + two texts | text-and-number-mixed
values to begin with | none: reading a name without a value stops the program | read-before-set
parameters | BYREF gives the place itself, else a copy is given | value-parameter-changed
comments | // or # up to the end of the line
files | OPENFILE … FOR READ before the first READFILE | file-not-there
names | letter case does not count | own-name-misspelt
`),
  routines: routines(`
LENGTH(text) | gives how many characters a text, or elements an array, has
MID(text, from, count) | gives characters from a position (from 1) on
LEFT(text, count) | gives the first characters
RIGHT(text, count) | gives the last characters
UPPER(text) | gives the text in capital letters
LOWER(text) | gives the text in small letters
POSITION(text, part) | gives where a part begins, 0 where it is not there
INT(number) | cuts the decimals off
FLOOR(number) | gives the whole number at or below
CEILING(number) | gives the whole number at or above
ROUND(number, places) | gives the nearest number with so many decimals, a half to the even one
ABS(number) | gives a number without its sign
SQRT(number) | gives the square root; none of a number below 0
MIN(one, other) | gives the smaller of two
MAX(one, other) | gives the larger of two
TO_TEXT(value) | gives the text of a value
TO_NUMBER(text) | gives the number of a text; stops where it is none
TO_WHOLE(text) | gives the whole number of a text; stops where it is none
EOF(file) | says whether an open file has no more lines
`),
};
