import { type ReferenceCard, routines, rows } from "../referenceCard.ts";

/** What beginners look up of C# (the .NET API), in our own words. */
export const csharpCard: ReferenceCard = {
  rows: rows(`
formats | {0:F2} or {name:F2} two digits, D whole number, N with groups | format-letter-wrong
brackets | ( ) calls, conditions and casts, [ ] arrays and positions, { } blocks | brace-missing-or-surplus
quotes | " " around texts, ' ' around a single letter | quote-not-closed
end of a statement | a semicolon; none behind the header of if, for or while | terminator-missing
blocks | { }; without them only one statement belongs to a header | statement-outside-block
giving a value | = gives a value, == compares, texts as well | assignment-for-comparison
limits | < leaves the limit out, <= takes it in; Substring(begin, length) | limit-off-by-one
and, or, not | && binds before ||; ! before both | and-or-without-brackets
positions | the first is 0, the last is Length - 1 or Count - 1 | index-past-end
values to begin with | fields: 0, false or null; variables of a method: none, and the compiler refuses to read them | read-before-set
division | between whole numbers the digits behind the point are cut off; by a plain zero it is refused | literal-zero-divisor
texts and numbers | + joins as soon as a text stands on its left | sum-joined-to-text
what is typed in | Console.ReadLine() gives a text; int.Parse makes a number of it | text-not-a-number
does not exist in the current context | a name is not known here, or misspelt | own-name-misspelt
NullReferenceException | nothing is there, and something of it is asked for | empty-reference-used
IndexOutOfRangeException | there is no element at this position | index-past-end
DivideByZeroException | a whole number was divided by zero | zero-divisor
FormatException | the text is no number of this kind | text-not-a-number
`),
  routines: routines(`
Console.WriteLine(value) | writes a value and ends the line
Console.Write(value) | writes a value and goes on in the line
Console.ReadLine() | gives the typed line as a text
int.Parse(text) | gives the whole number of a text
double.Parse(text) | gives the decimal number of a text
int.TryParse(text, out number) | says whether the text is a whole number and puts it into number
value.ToString() | gives a text of a value
text.Length | how many letters a text has
text.Substring(begin, length) | gives so many letters from a position
text.IndexOf(part) | gives the position of a part, or -1
text.ToUpper() | gives a new text in capital letters
text.Trim() | gives a new text without blanks at both ends
text.Split(separator) | gives an array of the parts between separators
text.Replace(old, new) | gives a new text in which each old part is a new one
Math.Sqrt(number) | gives the square root
Math.Pow(base, exponent) | gives base to the power of exponent
Math.Max(one, other) | gives the larger of two numbers
Math.Abs(number) | gives a number without its sign
Math.Round(number, digits) | rounds to so many digits; halves to the even one
list.Add(value) | puts a value at the end of a list
list.Remove(value) | takes the first such value out
list.RemoveAt(position) | takes the element at a position out
list.Count | how many elements a list has
dictionary.ContainsKey(key) | says whether a key is there
`),
};
