import { type ReferenceCard, routines, rows } from "../referenceCard.ts";

/** What beginners look up of Java (Java SE API), in our own words. */
export const javaCard: ReferenceCard = {
  rows: rows(`
format letters | %d whole number, %f decimal (%.2f two digits), %s text, %c letter, %n end of the line | format-letter-wrong
brackets | ( ) calls, conditions and casts, [ ] arrays and positions, { } blocks | brace-missing-or-surplus
quotes | " " around texts, ' ' around a single letter | quote-not-closed
end of a statement | a semicolon; none behind the header of if, for or while | terminator-missing
blocks | { }; without them only one statement belongs to a header | statement-outside-block
giving a value | = gives a value, == compares numbers | assignment-for-comparison
texts | compare with equals; == asks whether they are the same object | text-compared-by-identity
limits | < leaves the limit out, <= takes it in; substring(a, b) ends before b | limit-off-by-one
and, or, not | && binds before ||; ! before both | and-or-without-brackets
positions | the first is 0, the last is length - 1 | index-past-end
values to begin with | fields: 0, false or null; variables of a method: none, and the compiler refuses to read them | read-before-set
division | between whole numbers the digits behind the point are cut off; % gives the rest | whole-number-division
texts and numbers | + joins as soon as a text stands on its left | sum-joined-to-text
what is typed in | nextInt() leaves the end of the line, which the next nextLine() takes | newline-left-in-input
cannot find symbol | a name is not known here, or misspelt | own-name-misspelt
NullPointerException | nothing is there, and something of it is asked for | empty-reference-used
ArrayIndexOutOfBoundsException | there is no element at this position | index-past-end
ArithmeticException | a whole number was divided by zero | zero-divisor
NumberFormatException | the text is no number of this kind | text-not-a-number
`),
  routines: routines(`
System.out.println(value) | writes a value and ends the line
System.out.print(value) | writes a value and goes on in the line
System.out.printf(format, values) | writes values by a format
Scanner.nextInt() | reads the next whole number and leaves the end of its line
Scanner.nextDouble() | reads the next decimal number and leaves the end of its line
Scanner.next() | reads the next word
Scanner.nextLine() | reads the rest of the line
Integer.parseInt(text) | gives the whole number of a text
Double.parseDouble(text) | gives the decimal number of a text
String.valueOf(value) | gives a text of a value
text.length() | gives how many letters a text has; arrays have length without brackets
text.charAt(position) | gives the letter at a position, from 0
text.substring(begin, end) | gives the letters from begin to before end
text.indexOf(part) | gives the position of a part, or -1
text.equals(other) | says whether two texts say the same
text.toUpperCase() | gives a new text in capital letters
text.trim() | gives a new text without blanks at both ends
text.split(form) | gives an array of the parts between a form
Math.sqrt(number) | gives the square root
Math.pow(base, exponent) | gives base to the power of exponent, a decimal
Math.max(one, other) | gives the larger of two numbers
Math.abs(number) | gives a number without its sign
Math.round(number) | gives the nearest whole number
list.add(value) | puts a value at the end of a list
list.get(position) | gives the element at a position
list.set(position, value) | puts a value in the place of an element
list.remove(position) | takes the element at a position out
list.size() | gives how many elements a list has
map.put(key, value) | keeps a value under a key
map.get(key) | gives what stands under a key, or null
`),
};
