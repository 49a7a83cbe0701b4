import { type ReferenceCard, routines, rows } from "../referenceCard.ts";

/** What beginners look up of typed Basic (its language reference), in our own words. */
export const typedBasicCard: ReferenceCard = {
  rows: rows(`
formats | ToString("0.00") two digits, {0:00} in a form, $"{x:0.0}" in a text | format-letter-wrong
quotes | " " around texts; "" inside of one stands for the sign itself; ' begins a comment; "x"c is a single sign | quote-not-closed
brackets | ( ) calls, positions and grouping, { } lists of values | bracket-not-closed
end of a line | ends the statement; a blank and _ carry it on, as do an open bracket, a comma or an operator | brace-missing-or-surplus
blocks | If … End If, For … Next, While … End While, Do … Loop, Sub … End Sub | brace-missing-or-surplus
giving a value | = gives a value at the beginning of a statement; in a condition it compares | assignment-for-comparison
limits | For i = a To b takes both in; Step says by how much; Dim a(3) has the positions 0 to 3 | limit-off-by-one
and, or, not | Not binds before And, And before Or; AndAlso and OrElse leave the second part out where the first decides | and-or-without-brackets
positions | arrays, lists and text(0) begin at 0; Mid and InStr count from 1 | index-past-end
joining | & joins anything as texts; + of a text and a number wants a number | text-and-number-mixed
values to begin with | 0, False or Nothing; a name without Dim is refused | misspelt-name-is-new
division | / gives a decimal number, \\ a whole one, Mod the rest; by 0 only \\ and Mod stop | arithmetic-operator-wrong
rounding | CInt goes to the even neighbour of a half, Int to the next whole number below | arithmetic-operator-wrong
the result of a function | Return gives it, or its own name is given it | return-missing
what is typed in | boxes and ReadLine give texts; CInt makes a number and stops where there is none | text-not-a-number
BC30451 | a name is not declared, or misspelt | own-name-misspelt
BC30456 | there is nothing of this name in what stands before the dot | own-name-misspelt
InvalidCastException | a text is no number, or a value is of another kind | text-not-a-number
IndexOutOfRangeException | there is no element at this position | index-past-end
NullReferenceException | nothing is there, and something of it is asked for | empty-reference-used
DivideByZeroException | a whole number was divided by zero | zero-divisor
OverflowException | a number does not fit its type | index-past-end
`),
  routines: routines(`
Console.WriteLine(value) | writes a value and ends the line
Console.Write(value) | writes a value and goes on in the line
Console.ReadLine() | gives the typed line as a text
MsgBox(text) | shows a box with a text
InputBox(prompt) | asks for a text in a box and gives it
CInt(value) | makes a whole number, rounded; stops where there is none
CDbl(value) | makes a decimal number; stops where there is none
CStr(value) | makes a text
Val(text) | gives the number that a text begins with, 0 where it begins with none
IsNumeric(value) | says whether a value is a number or a text that says one
Integer.TryParse(text, name) | puts the number of a text into a variable and says whether there was one
Len(text) | gives how many signs a text has
Left(text, count) | gives its first signs
Right(text, count) | gives its last signs
Mid(text, begin, count) | gives signs from a position on, counted from 1
InStr(text, part) | gives where a part begins, counted from 1; 0 where it is not in it
text.Substring(begin, count) | gives signs from a position on, counted from 0
text.ToUpper() | gives the text in capital letters
text.Trim() | gives the text without blanks around it
text.Split(sign) | gives the parts of a text between the signs
Math.Round(number, digits) | rounds; a half goes to the even neighbour
Math.Sqrt(number) | gives the square root
Int(number) | gives the next whole number below
UBound(array) | gives the last position of an array
list.Add(value) | puts a value behind the last one of a list
list.Count | how many values a list has
box.Text | what stands in a box or label, as a text
`),
};
