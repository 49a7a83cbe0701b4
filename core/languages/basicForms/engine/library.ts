import { ownOf } from "../../../source/ownOf.ts";
import { any, arrayOf, basic, basicNamed, none, type Type } from "./types.ts";

/**
 * A member of what the library offers. `given`: the types of what is handed over, null where they are left as they are; `out`: positions of
 * what is given a value.
 */
export type LibraryMember = {
  name: string;
  type: Type;
  given: Type[] | null;
  out: readonly number[];
  method: boolean;
  shared: boolean;
};

/**
 * What each type of the library offers to programs of first courses: `Name:Type` a property, `Name(types):Type` a method, `~` before what
 * belongs to the type itself. `T` and `U` are what stands behind Of; `()` behind a type makes a list of it; `…` in brackets: whatever is handed over.
 */
const tables: Readonly<Record<string, string>> = {
  String:
    "Length:Integer Chars(Integer):Char ToUpper():String ToLower():String Trim(…):String TrimStart(…):String TrimEnd(…):String Contains(String):Boolean IndexOf(…):Integer LastIndexOf(…):Integer Substring(…):String Replace(…):String Split(…):String() StartsWith(String):Boolean EndsWith(String):Boolean Insert(Integer,String):String Remove(…):String PadLeft(…):String PadRight(…):String ToCharArray():Char() CompareTo(…):Integer Equals(…):Boolean ToString():String GetHashCode():Integer First():Char Last():Char Count():Integer Reverse():any Distinct():any ~IsNullOrEmpty(String):Boolean ~IsNullOrWhiteSpace(String):Boolean ~Join(…):String ~Format(…):String ~Concat(…):String ~Compare(…):Integer ~Empty:String",
  Integer:
    "ToString(…):String CompareTo(…):Integer Equals(…):Boolean GetHashCode():Integer ~Parse(String):Integer ~TryParse(String,out Integer):Boolean ~MaxValue:Integer ~MinValue:Integer",
  Long: "ToString(…):String CompareTo(…):Integer Equals(…):Boolean ~Parse(String):Long ~TryParse(String,out Long):Boolean ~MaxValue:Long ~MinValue:Long",
  Short: "ToString(…):String ~Parse(String):Short ~TryParse(String,out Short):Boolean ~MaxValue:Short ~MinValue:Short",
  Byte: "ToString(…):String ~Parse(String):Byte ~TryParse(String,out Byte):Boolean ~MaxValue:Byte ~MinValue:Byte",
  Double:
    "ToString(…):String CompareTo(…):Integer Equals(…):Boolean ~Parse(String):Double ~TryParse(String,out Double):Boolean ~MaxValue:Double ~MinValue:Double ~NaN:Double ~PositiveInfinity:Double ~IsNaN(Double):Boolean ~IsInfinity(Double):Boolean",
  Single:
    "ToString(…):String CompareTo(…):Integer ~Parse(String):Single ~TryParse(String,out Single):Boolean ~MaxValue:Single ~MinValue:Single",
  Decimal:
    "ToString(…):String CompareTo(…):Integer Equals(…):Boolean ~Parse(String):Decimal ~TryParse(String,out Decimal):Boolean ~Round(…):Decimal ~MaxValue:Decimal ~MinValue:Decimal",
  Boolean: "ToString():String Equals(…):Boolean ~Parse(String):Boolean ~TryParse(String,out Boolean):Boolean",
  Char: "ToString():String CompareTo(…):Integer Equals(…):Boolean ~IsDigit(…):Boolean ~IsLetter(…):Boolean ~IsLetterOrDigit(…):Boolean ~IsUpper(…):Boolean ~IsLower(…):Boolean ~IsWhiteSpace(…):Boolean ~IsPunctuation(…):Boolean ~ToUpper(Char):Char ~ToLower(Char):Char ~GetNumericValue(…):Double",
  Date: "Year:Integer Month:Integer Day:Integer Hour:Integer Minute:Integer Second:Integer Millisecond:Integer DayOfWeek:any DayOfYear:Integer Date:Date AddDays(Double):Date AddHours(Double):Date AddMinutes(Double):Date AddMonths(Integer):Date AddYears(Integer):Date ToString(…):String ToShortDateString():String ToShortTimeString():String Subtract(…):any ~Now:Date ~Today:Date ~Parse(String):Date",
  Object: "ToString():String Equals(…):Boolean GetHashCode():Integer GetType():any ~ReferenceEquals(…):Boolean",
  Console:
    "~WriteLine(…) ~Write(…) ~ReadLine():String ~Read():Integer ~ReadKey(…):any ~Clear() ~Title:String ~ForegroundColor:any ~BackgroundColor:any ~Beep(…) ~ResetColor() ~In:any ~Out:any ~Error:any",
  Math: "~Abs(…):first ~Max(…):common ~Min(…):common ~Sqrt(Double):Double ~Pow(Double,Double):Double ~Round(…):rounded ~Floor(…):rounded ~Ceiling(…):rounded ~Truncate(…):rounded ~Sign(…):Integer ~Sin(Double):Double ~Cos(Double):Double ~Tan(Double):Double ~Atan(Double):Double ~Asin(Double):Double ~Acos(Double):Double ~Atan2(Double,Double):Double ~Exp(Double):Double ~Log(…):Double ~Log10(Double):Double ~PI:Double ~E:Double ~DivRem(Integer,Integer,out Integer):Integer",
  Convert:
    "~ToInt32(…):Integer ~ToInt16(…):Short ~ToInt64(…):Long ~ToDouble(…):Double ~ToSingle(…):Single ~ToDecimal(…):Decimal ~ToString(…):String ~ToBoolean(…):Boolean ~ToChar(…):Char ~ToByte(…):Byte ~ToDateTime(…):Date",
  MidpointRounding: "~AwayFromZero:any ~ToEven:any",
  Environment: "~NewLine:String ~Exit(Integer) ~TickCount:Integer",
  Array:
    "Length:Integer GetUpperBound(Integer):Integer GetLowerBound(Integer):Integer GetLength(Integer):Integer Rank:Integer Clone():any CopyTo(…) SetValue(…) GetValue(…):Object ToList():List(T) ToArray():T() Sum():T Max():T Min():T Average():Double Contains(T):Boolean First():T Last():T Count():Integer Reverse():any Distinct():any ~Sort(…) ~Reverse(…) ~IndexOf(…):Integer ~Clear(…) ~Copy(…) ~Resize(…)",
  List: "Count:Integer Item(Integer):T Add(T) Remove(T):Boolean RemoveAt(Integer) Insert(Integer,T) Clear() Contains(T):Boolean IndexOf(T):Integer Sort(…) Reverse(…) ToArray():T() AddRange(…) ToList():List(T) Sum():T Max():T Min():T Average():Double First():T Last():T Distinct():any",
  Dictionary:
    "Count:Integer Item(T):U Add(T,U) Remove(T):Boolean ContainsKey(T):Boolean ContainsValue(U):Boolean TryGetValue(T,out U):Boolean Keys:Keys(T) Values:Keys(U) Clear()",
  Keys: "Count:Integer ToList():List(T) ToArray():T() Contains(T):Boolean Max():T Min():T Sum():T First():T Last():T",
  KeyValuePair: "Key:T Value:U",
  Queue: "Count:Integer Enqueue(T) Dequeue():T Peek():T Clear() Contains(T):Boolean ToArray():T()",
  Stack: "Count:Integer Push(T) Pop():T Peek():T Clear() Contains(T):Boolean ToArray():T()",
  HashSet: "Count:Integer Add(T):Boolean Remove(T):Boolean Contains(T):Boolean Clear()",
  ArrayList:
    "Count:Integer Item(Integer):Object Add(…):Integer Remove(…) RemoveAt(Integer) Insert(…) Clear() Contains(…):Boolean IndexOf(…):Integer Sort() Reverse()",
  Random: "Next(…):Integer NextDouble():Double",
  StringBuilder:
    "Length:Integer Append(…):StringBuilder AppendLine(…):StringBuilder Insert(…):StringBuilder Remove(…):StringBuilder Clear():StringBuilder ToString():String",
  StreamReader: "ReadLine():String ReadToEnd():String EndOfStream:Boolean Peek():Integer Close() Dispose()",
  StreamWriter: "WriteLine(…) Write(…) Close() Flush() Dispose()",
  File: "~ReadAllLines(String):String() ~ReadAllText(String):String ~WriteAllText(String,String) ~WriteAllLines(…) ~AppendAllText(String,String) ~Exists(String):Boolean ~Delete(String) ~OpenText(String):StreamReader",
  Exception: "Message:String StackTrace:String InnerException:Exception ToString():String GetType():any Source:String",
  EventArgs: "ToString():String ~Empty:EventArgs",
  MessageBox: "~Show(…):any",
  DialogResult: "~OK:any ~Cancel:any ~Yes:any ~No:any ~None:any ~Abort:any ~Retry:any",
  MessageBoxButtons: "~OK:any ~OKCancel:any ~YesNo:any ~YesNoCancel:any",
  MessageBoxIcon: "~None:any ~Information:any ~Warning:any ~Error:any ~Question:any ~Exclamation:any",
  MsgBoxStyle:
    "~OkOnly:any ~OKOnly:any ~OkCancel:any ~YesNo:any ~YesNoCancel:any ~Information:any ~Critical:any ~Exclamation:any ~Question:any",
  MsgBoxResult: "~Ok:any ~Cancel:any ~Yes:any ~No:any",
  ConsoleColor: "~Black:any ~Blue:any ~Cyan:any ~Green:any ~Red:any ~White:any ~Yellow:any ~Gray:any ~Magenta:any",
  Color:
    "~Black:any ~Blue:any ~Green:any ~Red:any ~White:any ~Yellow:any ~Gray:any ~Orange:any ~LightGreen:any ~LightBlue:any ~Pink:any ~Transparent:any",
  Control:
    "Text:String Name:String Enabled:Boolean Visible:Boolean BackColor:any ForeColor:any Tag:Object Focus():Boolean Hide() Show() Click:event TextChanged:event Width:Integer Height:Integer Left:Integer Top:Integer",
  Form: "Close() Load:event Text:String ShowDialog():any Controls:any",
  TextBox: "Clear() SelectAll() AppendText(String) ReadOnly:Boolean MaxLength:Integer Multiline:Boolean Lines:String()",
  Label: "AutoSize:Boolean",
  Button: "PerformClick()",
  CheckBox: "Checked:Boolean CheckedChanged:event",
  RadioButton: "Checked:Boolean CheckedChanged:event",
  ListBox: "Items:Items SelectedIndex:Integer SelectedItem:Object SelectedIndexChanged:event ClearSelected()",
  ComboBox: "Items:Items SelectedIndex:Integer SelectedItem:Object SelectedIndexChanged:event",
  Items:
    "Count:Integer Item(Integer):Object Add(…):Integer AddRange(…) Remove(…) RemoveAt(Integer) Insert(…) Clear() Contains(…):Boolean IndexOf(…):Integer",
  NumericUpDown: "Value:Decimal Minimum:Decimal Maximum:Decimal Increment:Decimal ValueChanged:event",
  Timer: "Interval:Integer Enabled:Boolean Start() Stop() Tick:event",
};

const exceptionNames =
  "FormatException InvalidCastException OverflowException DivideByZeroException IndexOutOfRangeException NullReferenceException ArgumentException ArgumentOutOfRangeException ArgumentNullException InvalidOperationException ApplicationException NotImplementedException NotSupportedException ArithmeticException OutOfMemoryException StackOverflowException KeyNotFoundException FileNotFoundException IOException DirectoryNotFoundException".split(
    " ",
  );

/** Whose members a type has as well. */
const parents: Readonly<Record<string, string>> = {
  ...Object.fromEntries(exceptionNames.map((name) => [name, "Exception"])),
  ...Object.fromEntries(
    ["Form", "TextBox", "Label", "Button", "CheckBox", "RadioButton", "ListBox", "ComboBox", "NumericUpDown"].map(
      (name) => [name, "Control"],
    ),
  ),
};

export const controlKinds: readonly string[] = [
  ...["TextBox", "Label", "Button", "CheckBox", "RadioButton", "ListBox", "ComboBox", "NumericUpDown", "Timer"],
];

/** Where types are found by the translator below, for those that have another name or place there. */
const written: Readonly<Record<string, string>> = {
  ...{ List: "System.Collections.Generic.List", Dictionary: "System.Collections.Generic.Dictionary" },
  ...{ Queue: "System.Collections.Generic.Queue", Stack: "System.Collections.Generic.Stack" },
  ...{ HashSet: "System.Collections.Generic.HashSet", KeyValuePair: "System.Collections.Generic.KeyValuePair" },
  ...{ Keys: "System.Collections.Generic.ICollection", ArrayList: "System.Collections.ArrayList" },
  ...{ StringBuilder: "System.Text.StringBuilder", StreamReader: "System.IO.StreamReader" },
  ...{ StreamWriter: "System.IO.StreamWriter", File: "System.IO.File", IOException: "System.IO.IOException" },
  ...{
    FileNotFoundException: "System.IO.FileNotFoundException",
    KeyNotFoundException: "System.Collections.Generic.KeyNotFoundException",
  },
  DirectoryNotFoundException: "System.IO.DirectoryNotFoundException",
  ...{ Console: "BentNail.Basic.Screen", ConsoleColor: "System.ConsoleColor" },
};
const ours = new Set(
  "Form Control TextBox Label Button CheckBox RadioButton ListBox ComboBox NumericUpDown Timer Items MessageBox DialogResult MessageBoxButtons MessageBoxIcon MsgBoxStyle MsgBoxResult Color".split(
    " ",
  ),
);

/** The name of a library's type in the text that is translated, without what stands behind Of. */
export const writtenLibrary = (name: string): string =>
  ownOf(written, name) ?? (ours.has(name) ? `BentNail.Basic.${name}` : `System.${name}`);

const names = new Map([...Object.keys(tables), ...exceptionNames].map((name) => [name.toLowerCase(), name]));

/** A type of the library by its name in any letter case; namespaces before it are passed over. */
export const libraryNamed = (name: string): string | null => {
  const last = name.split(".").at(-1) ?? "";
  const found = names.get(last.toLowerCase());
  return found === undefined || found === "Keys" || found === "Items" || basicNamed(found) ? null : found;
};

/** How many types stand behind Of. */
export const argumentsOf: Readonly<Record<string, number>> = {
  ...{ List: 1, Queue: 1, Stack: 1, HashSet: 1, Dictionary: 2, KeyValuePair: 2 },
};

function typeOf(text: string, of: readonly Type[]): Type {
  if (text === "T" || text === "U") return of[text === "T" ? 0 : 1] ?? any;
  if (text === "any" || text === "event" || text === "first" || text === "common" || text === "rounded") return any;
  if (text.endsWith("()")) return arrayOf(typeOf(text.slice(0, -2), of));
  const made = /^(\w+)\((\w+)\)$/.exec(text);
  if (made) return { kind: "library", name: made[1] ?? "", of: [typeOf(made[2] ?? "", of)] };
  const own = basicNamed(text);
  return own ? basic(own) : { kind: "library", name: text, of: [] };
}

const entry = /(~?)(\w+)(?:\(([^()\s]*(?:\s[^()\s]+)*)\))?(?::(\w+(?:\(\w*\))?))?(?=\s|$)/g;

const read = new Map<
  string,
  Map<string, { name: string; given: string | undefined; type: string | undefined; shared: boolean }>
>();

function tableOf(type: string) {
  const known = read.get(type);
  if (known) return known;
  const found = new Map(
    [...(ownOf(tables, type) ?? "").matchAll(entry)].map(([, shared = "", name = "", given, result]) => [
      name.toLowerCase(),
      { name, given, type: result, shared: shared !== "" },
    ]),
  );
  read.set(type, found);
  return found;
}

/** A member of a library's type (by its name in the tables), null where it has none of that name. */
export function libraryMember(
  type: string,
  name: string,
  of: readonly Type[] = [],
): (LibraryMember & { special: string }) | null {
  const found = tableOf(type).get(name.toLowerCase());
  if (!found) {
    const parent = ownOf(parents, type);
    if (parent) return libraryMember(parent, name, of);
    return type === "Object" || name === "" ? null : libraryMember("Object", name, of);
  }
  const given = found.given;
  const pieces = given === undefined || given === "…" || given === "" ? [] : given.split(",");
  return {
    name: found.name,
    type: found.type === undefined ? none : typeOf(found.type, of),
    given: given === "…" ? null : pieces.map((piece) => typeOf(piece.replace(/^out /, ""), of)),
    out: pieces.flatMap((piece, at) => (piece.startsWith("out ") ? [at] : [])),
    method: given !== undefined,
    shared: found.shared,
    special: found.type ?? "",
  };
}

export const memberNames = (type: string): string[] => [...tableOf(type).values()].map(({ name }) => name);

/** True if a type of the library is the other one or made after it. */
export function isKindOf(type: string, other: string): boolean {
  const parent = ownOf(parents, type);
  return type === other || (parent !== undefined && isKindOf(parent, other));
}

/** Routines that belong to nobody, as `Name(types):Type`; each is one of BentNail.Basic.Functions (runners/basic). */
const functions =
  "MsgBox(…):any InputBox(…):String Len(Object):Integer Mid(…):String Left(String,Integer):String Right(String,Integer):String InStr(…):Integer InStrRev(…):Integer UCase(String):String LCase(String):String Trim(String):String LTrim(String):String RTrim(String):String Val(String):Double Str(Object):String Chr(Integer):Char ChrW(Integer):Char Asc(String):Integer AscW(String):Integer IsNumeric(Object):Boolean IsNothing(Object):Boolean IsDate(Object):Boolean IsArray(Object):Boolean Int(…):rounded Fix(…):rounded Rnd(…):Single Randomize(…) UBound(…):Integer LBound(…):Integer Replace(…):String Split(…):String() Join(…):String StrReverse(String):String Space(Integer):String StrDup(…):String Format(…):String FormatNumber(…):String FormatCurrency(…):String FormatPercent(…):String IIf(…):Object Hex(…):String Oct(…):String StrComp(…):Integer";

/** Values that belong to nobody. */
const values: Readonly<Record<string, readonly [code: string, type: Type]>> = {
  ...{
    vbcrlf: ['"\\r\\n"', basic("String")],
    vbnewline: ['"\\r\\n"', basic("String")],
    vblf: ['"\\n"', basic("String")],
  },
  ...{ vbcr: ['"\\r"', basic("String")], vbtab: ['"\\t"', basic("String")], vbnullstring: ["null", basic("String")] },
  ...{
    now: ["System.DateTime.Now", basic("Date")],
    today: ["System.DateTime.Today", basic("Date")],
    timer: ["BentNail.Basic.Functions.Timer()", basic("Double")],
  },
  ...Object.fromEntries(
    [
      "vbOKOnly",
      "vbOKCancel",
      "vbYesNo",
      "vbYesNoCancel",
      "vbInformation",
      "vbCritical",
      "vbExclamation",
      "vbQuestion",
      "vbYes",
      "vbNo",
      "vbOK",
      "vbCancel",
    ].map((name) => [name.toLowerCase(), [`BentNail.Basic.Functions.${name}`, any] as const]),
  ),
};

const functionTable = new Map(
  [...functions.matchAll(entry)].map(([, , name = "", given, result]) => [
    name.toLowerCase(),
    { name, given, type: result },
  ]),
);

export function libraryFunction(name: string): (LibraryMember & { special: string }) | null {
  const found = functionTable.get(name.toLowerCase());
  if (!found) return null;
  const pieces = found.given === "…" || !found.given ? [] : found.given.split(",");
  return {
    name: `BentNail.Basic.Functions.${found.name}`,
    type: found.type === undefined ? none : typeOf(found.type, []),
    given: found.given === "…" ? null : pieces.map((piece) => typeOf(piece, [])),
    ...{ out: [], method: true, shared: true, special: found.type ?? "" },
  };
}

export const libraryValue = (name: string): readonly [code: string, type: Type] | null =>
  ownOf(values, name.toLowerCase()) ?? null;

export const functionNames: readonly string[] = [...functionTable.values()].map(({ name }) => name);
