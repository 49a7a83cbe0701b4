import { type ReferenceCard, routines, rows } from "../referenceCard.ts";

/** What beginners look up of Object Pascal (Free Pascal Reference guide and Run-Time Library), in our own words. */
export const pascalCard: ReferenceCard = {
  rows: rows(`
widths | writeln(x:8:2) eight places wide, two digits behind the point | format-letter-wrong
brackets | ( ) calls and grouping, [ ] arrays, positions and sets; { } is a comment | bracket-kinds-mixed
quotes | ' ' around texts; '' inside of one for the sign itself | quote-not-closed
end of a statement | a semicolon parts statements; none before else | semicolon-before-else
blocks | begin and end; without them only one statement belongs to a header | statement-outside-block
giving a value | := gives a value, = compares | comparison-for-assignment
limits | for a to b takes both in; downto counts down | limit-off-by-one
and, or, not | and binds like times, before = and <: put comparisons in brackets | and-or-without-brackets
positions | as declared; texts begin with 1 | index-past-end
values to begin with | globals 0; variables of a routine hold whatever was there | read-before-set
division | / gives a decimal, div cuts off, mod gives the rest | whole-number-division
letter case | does not count: Load and load are one name | name-letter-case
parameters | without var a routine gets a copy | value-parameter-changed
Identifier not found | a name is not declared, or misspelt | own-name-misspelt
Runtime error 200 | division by zero | zero-divisor
Runtime error 201 | a position outside of the array (with range checks) | index-past-end
Runtime error 106 | the text that was typed in is no number | text-not-a-number
Runtime error 2 | the file is not there | file-not-there
`),
  routines: routines(`
writeln(values) | writes the values without blanks between them and ends the line
write(values) | writes the values and goes on in the line
readln(variables) | reads values and the rest of the line
read(variables) | reads values and leaves the rest of the line
length(text) | gives how many letters or elements there are
copy(text, begin, count) | gives so many letters from a position, the first is 1
pos(part, text) | gives the position of a part in a text, or 0
delete(text, begin, count) | takes letters out of the variable itself
insert(part, text, position) | puts a part into the variable itself
concat(texts) | joins texts
upcase(letter) | gives the capital letter
str(number, text) | puts the text of a number into a variable
val(text, number, code) | puts the number of a text into a variable; code is 0 where it is one
inttostr(number) | gives the text of a whole number
strtoint(text) | gives the whole number of a text
round(number) | gives the nearest whole number; halves to the even one
trunc(number) | cuts the digits behind the point off
abs(number) | gives a number without its sign
sqr(number) | gives a number times itself
sqrt(number) | gives the square root
odd(number) | says whether a number is odd
inc(variable) | makes a variable larger by one
random(limit) | gives a whole number from 0 to before the limit
assign(file, name) | says which file a variable stands for
reset(file) | opens a file to read
rewrite(file) | opens a file to write anew
`),
};
