import { type ReferenceCard, routines, rows } from "../referenceCard.ts";

/** What beginners look up of Python (Library Reference, "Built-in Functions", "String Methods", "math", "random"), in our own words. */
export const pythonCard: ReferenceCard = {
  rows: rows(`
format letters | d whole number, f decimal (.2f two digits), s text; in f-strings {name:.2f} | format-letter-wrong
brackets | ( ) calls and grouping, [ ] lists and positions, { } dictionaries and sets | bracket-kinds-mixed
quotes | ' ' and " " are alike, one kind from beginning to end; three of them for several lines | quote-not-closed
end of a header | if, elif, else, for, while, def, class and try end in a colon | colon-missing
blocks | lines of one block stand exactly below each other, usually four blanks in | line-indented-wrongly
giving a value | = gives a value, == compares | assignment-for-comparison
limits | range(a, b) begins with a and ends before b; xs[a:b] as well; < leaves the limit out, <= takes it in | limit-off-by-one
and, or, not | and binds before or; not before both; each side is a condition of its own | condition-always-true
positions | the first is 0, the last is len(xs) - 1 or -1 | index-past-end
values to begin with | none: a name without a value stops the program | read-before-set
division | / gives a decimal, // rounds down, % gives the rest | whole-number-division
what is typed in | input() gives a text; int() and float() make a number of it | input-kept-as-text
texts and numbers | + joins texts, adds numbers, and refuses a mixture | text-and-number-mixed
NameError | a name is not known, or not yet | name-never-defined
TypeError | a value of this kind cannot be used so, or too many or few values were given | text-and-number-mixed
ValueError | the kind is right and the value is not | text-not-a-number
IndexError, KeyError | there is nothing at this position, or under this key | index-past-end
AttributeError | the object has no part of this name | member-misspelt
`),
  routines: routines(`
print(values, sep=" ", end="\\n") | writes the values with blanks between them and ends the line
input(prompt) | writes the prompt and gives the typed line as a text
int(text) | gives a whole number of a text or a decimal, which it cuts off
float(text) | gives a decimal number of a text
str(value) | gives a text of a value
len(collection) | gives how many elements or letters there are
range(begin, end, step) | counts from begin to before end; with one value from 0 to before it
sum(numbers) | gives the sum of a list of numbers
max(values) | gives the largest of several values or of a list
min(values) | gives the smallest of several values or of a list
abs(number) | gives the number without its sign
round(number, digits) | rounds to so many digits; halves to the even one
sorted(collection) | gives a new sorted list and leaves the old one
list.sort() | sorts the list itself and gives nothing back
list.append(value) | puts a value at the end of the list and gives nothing back
list.insert(position, value) | puts a value before a position
list.remove(value) | takes the first such value out
list.pop(position) | takes an element out and gives it; the last one if none is named
text.upper() | gives the text in capital letters; the text itself stays
text.strip() | gives the text without blanks at both ends
text.split(separator) | gives a list of the parts between separators
text.join(parts) | joins parts with the text between them
text.replace(old, new) | gives a text in which each old part is a new one
text.find(part) | gives the position of the part, or -1
text.count(part) | gives how often the part stands there
text.isdigit() | says whether all are digits
dict.get(key, otherwise) | gives what stands under a key, or the other value
open(name, mode) | opens a file: "r" to read, "w" to write anew, "a" to go on writing
math.sqrt(number) | gives the square root; not of a negative number
random.randint(low, high) | gives a whole number from low to high, both included
`),
};
