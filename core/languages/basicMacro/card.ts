import { type ReferenceCard, routines, rows } from "../referenceCard.ts";

/** What beginners look up of macros (the office's Basic guide), in our own words. */
export const macroCard: ReferenceCard = {
  rows: rows(`
quotes | " " around texts; "" inside of one stands for the sign itself; ' begins a comment | quote-not-closed
brackets | ( ) calls, positions and grouping | bracket-not-closed
end of a line | ends the statement; a blank and _ carry it on, a colon parts two on one line | brace-missing-or-surplus
blocks | If … End If, For … Next, While … Wend, Do … Loop, Sub … End Sub | brace-missing-or-surplus
giving a value | = gives a value at the beginning of a statement; in a condition it compares | assignment-for-comparison
limits | For i = a To b takes both in; Step says by how much | limit-off-by-one
and, or, not | And and Or are equally strong here and go from the left; Not binds before a comparison: brackets say what is meant | and-or-without-brackets
positions | arrays, sheets, columns and rows count from 0; Dim a(3) has four elements | index-past-end
joining | & joins texts; + joins where one side is a text | text-and-number-mixed
values to begin with | 0, "" or Empty; a misspelt name is a new empty variable without Option Explicit | misspelt-name-is-new
division | / gives a decimal number, \\ a whole one, Mod the rest | arithmetic-operator-wrong
rounding | CInt rounds, Int goes to the next whole number below | arithmetic-operator-wrong
the result of a function | is given to its own name | return-missing
Variable not defined | Option Explicit is on and the name has no Dim, or is misspelt | own-name-misspelt
Property or method not found | the object has nothing of this name; looked up only when the line is reached | own-name-misspelt
Data type mismatch | a text stands where a number is needed | input-kept-as-text
Index out of defined range | the array has no such position | index-past-end
`),
  routines: routines(`
MsgBox(text) | shows a box with a text
InputBox(prompt) | asks for a text in a box and gives it
Print values | shows values; a semicolon joins, a comma goes on to the next stop
CInt(value) | makes a whole number, rounded
CDbl(text) | makes a decimal number; stops where the text is none
Val(text) | gives the number that a text begins with, 0 where it begins with none
CStr(value) | makes a text
Str(number) | makes a text with a blank before it
Len(text) | gives how many letters a text has
Left(text, count) | gives its first letters
Right(text, count) | gives its last letters
Mid(text, begin, count) | gives letters from a position on, counted from 1
InStr(text, part) | gives where a part begins, 0 where it is not in it
UCase(text) | gives the text in capital letters
LCase(text) | gives the text in small letters
Trim(text) | gives the text without blanks around it
Int(number) | gives the next whole number below
Abs(number) | gives a number without its sign
Sqr(number) | gives the square root
UBound(array) | gives the last position of an array
LBound(array) | gives the first position of an array
ThisComponent.Sheets.getByIndex(index) | gives a sheet, counted from 0
ThisComponent.Sheets.getByName(name) | gives the sheet of this name
sheet.getCellByPosition(column, row) | gives a cell, both counted from 0
sheet.getCellRangeByName(name) | gives the cell or cells of a name such as B2 or A1:B3
cell.Value | its number, 0 where it is empty or holds a text
cell.String | what it shows, as a text
cell.Formula | its formula, as it is typed in
`),
};
