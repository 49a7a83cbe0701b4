import { type ReferenceCard, routines, rows } from "../referenceCard.ts";

/** What beginners look up of Octave (GNU Octave manual), in our own words. */
export const octaveCard: ReferenceCard = {
  rows: rows(`
format letters | %d whole number, %f decimal (%.2f two digits), %g as short as can be, %s text, \\n end of the line | format-letter-wrong
brackets | ( ) calls, positions and grouping, [ ] arrays, { } cells | bracket-kinds-mixed
quotes | ' ' and " " around texts; \\n only inside of " " | quote-not-closed
end of a line | a semicolon keeps the result from being shown | output-not-suppressed
blocks | from the header to end | brace-missing-or-surplus
giving a value | = gives a value, == compares, ~= and != are unequal | assignment-for-comparison
limits | a:b takes both in; a:step:b counts by the step | limit-off-by-one
and, or, not | && binds before ||; the single signs go element by element | and-or-without-brackets
positions | the first is 1, the last is end | index-past-end
times and divided by | * and / are those of matrices; .* and ./ go element by element | shapes-do-not-fit
values to begin with | none: a name without a value stops the script | read-before-set
rows and columns | a blank or comma parts columns, a semicolon rows; size(x, 1) rows, size(x, 2) columns | dimension-wrong
division | always decimal; idivide and floor cut off, mod gives the rest | arithmetic-operator-wrong
what stays | variables of an earlier run are still there in a session | read-before-set
undefined | a name has no value, or is misspelt | own-name-misspelt
out of bound | there is no element at this position | index-past-end
nonconformant | the shapes of two arrays do not fit | shapes-do-not-fit
`),
  routines: routines(`
printf(format, values) | writes values by a format; the format goes round until all are written
disp(value) | writes a value and ends the line
input(prompt) | reads an expression and gives its value; with "s" behind it a text
num2str(number) | gives the text of a number
str2double(text) | gives the number of a text, NaN where it is none
length(array) | gives the longest of its dimensions
numel(array) | gives how many elements there are
size(array, dimension) | gives how many there are in a dimension: 1 rows, 2 columns
zeros(rows, columns) | gives an array of zeros
ones(rows, columns) | gives an array of ones
linspace(begin, end, count) | gives so many numbers from begin to end
sum(array, dimension) | adds down the columns; with 2 along the rows
prod(array) | multiplies down the columns
mean(array) | gives the mean of each column
max(array) | gives the largest of each column; max(a, [], 2) of each row, max(a, b) the larger of two
min(array) | gives the smallest of each column
find(condition) | gives the positions where a condition holds
sort(array) | gives a sorted array
mod(number, divisor) | gives the rest of a division
floor(number) | gives the next whole number below
round(number) | gives the nearest whole number
abs(number) | gives a number without its sign
sqrt(number) | gives the square root, a complex one of a negative number
strcmp(one, other) | says whether two texts say the same
strfind(text, part) | gives the positions of a part
strsplit(text, separator) | gives a cell of the parts
upper(text) | gives the text in capital letters
isempty(array) | says whether there is nothing in it
`),
};
