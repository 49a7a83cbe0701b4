import { type ReferenceCard, routines, rows } from "../referenceCard.ts";

/** What beginners look up of C (ISO C17, clause 7), in our own words. */
export const cCard: ReferenceCard = {
  rows: rows(`
format letters | %d int, %ld long, %f double (scanf: %lf), %c letter, %s text, %u without a sign | format-letter-wrong
addresses | scanf takes the place of a variable: & before its name, none before an array | address-sign-missing
brackets | ( ) calls and conditions, [ ] arrays and positions, { } blocks | brace-missing-or-surplus
quotes | " " around texts, ' ' around a single letter | quote-not-closed
end of a statement | a semicolon; none behind the header of if, for or while | semicolon-after-header
blocks | { }; without them only one statement belongs to a header | statement-outside-block
giving a value | = gives a value, == compares; = in a condition is allowed and mostly a slip | assignment-for-comparison
limits | < leaves the limit out, <= takes it in | limit-off-by-one
and, or, not | && binds before ||; ! before both | and-or-without-brackets
positions | the first is 0, the last is the size less 1; nobody checks | index-past-end
values to begin with | globals 0; variables of a function hold whatever was there | read-before-set
division | between whole numbers the digits behind the point are cut off; % gives the rest | whole-number-division
texts | an array of letters with a zero behind it; compare with strcmp, copy with strcpy into enough room | buffer-too-small
a letter after a number | the end of the line is still there: a blank before %c reads it away | newline-left-in-input
undeclared | a name is not known here, or misspelt | own-name-misspelt
Segmentation fault | memory was used that is not the program's own; no line is named | empty-reference-used
Floating point exception | a whole number was divided by zero | zero-divisor
`),
  routines: routines(`
printf(format, values) | writes values by a format
scanf(format, addresses) | reads values by a format into places; gives how many it read
getchar() | reads one letter, the end of a line as well
fgets(place, size, stdin) | reads a line with its end, at most size - 1 letters
puts(text) | writes a text and ends the line
strlen(text) | gives how many letters a text has
strcpy(to, from) | copies a text into a place, which must be large enough
strcat(to, from) | puts a text behind another one
strcmp(one, other) | gives 0 where two texts say the same
strchr(text, letter) | gives the place of the first such letter, or NULL
atoi(text) | gives the whole number of a text, 0 where it is none
malloc(bytes) | gives a new place of so many bytes, or NULL
free(place) | gives a place back
abs(number) | gives a whole number without its sign
fabs(number) | gives a decimal number without its sign
sqrt(number) | gives the square root
pow(base, exponent) | gives base to the power of exponent
rand() | gives a number from 0 to RAND_MAX
fopen(name, mode) | opens a file: "r" to read, "w" to write anew; NULL where it cannot
fclose(file) | closes a file
`),
};
