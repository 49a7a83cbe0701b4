/** Common words of C#'s library (System, System.Collections.Generic, System.IO) and its usual names. */
export const csharpWords: readonly string[] = (
  "Main args System Console WriteLine Write ReadLine ReadKey Read String Int32 Double Boolean Char Object Math Abs Max Min Sqrt Pow Round Floor Ceiling Random Next Convert ToInt32 ToDouble ToString " +
  "Parse TryParse Length Count Add Remove RemoveAt Contains ContainsKey Clear Sort Reverse IndexOf Insert Substring Split Replace Trim ToUpper ToLower StartsWith EndsWith Format Join Equals " +
  "List Dictionary Queue Stack HashSet Array Collections Generic Linq Text IO StringBuilder Append File StreamReader StreamWriter ReadToEnd ReadAllLines WriteAllText Exception Message " +
  "IndexOutOfRangeException NullReferenceException DivideByZeroException FormatException InvalidCastException ArgumentException ArgumentOutOfRangeException ArgumentNullException OverflowException " +
  "KeyNotFoundException InvalidOperationException FileNotFoundException StackOverflowException OutOfMemoryException var get set value partial async await nameof when where yield record Program"
).split(" ");
