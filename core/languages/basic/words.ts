/** Names of the library that macro and typed Basic know, never a person's. */
export const basicWords: readonly string[] = (
  "MsgBox InputBox Console WriteLine ReadLine Write Cells Range Worksheets Workbooks Sheets ActiveSheet ActiveCell Application Debug Print Val Str CInt CDbl CStr Len Mid Left Right " +
  "UCase LCase Trim Format Now Date Time Int Abs Sqr Rnd IsNumeric Integer Double Single String Boolean Long Object Variant Collection Value Text Count Math System TextBox Button Label Form"
).split(" ");
