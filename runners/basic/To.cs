using System;
using System.Globalization;

namespace BentNail.Basic
{
    /// <summary>
    /// The conversions of typed Basic (language reference, "Type Conversion Functions"): halves go to the even neighbour, True counts as -1, a text that
    /// is no number stops the program and is named. One method for every type, by the names that the language has for them.
    /// </summary>
    public static class To
    {
        /// <summary>A 0 that nobody works with before the program runs.</summary>
        public static readonly int Nought = int.Parse("0");

        static Exception Refused(string text, string type)
        {
            return new InvalidCastException("Conversion from string \"" + text + "\" to type '" + type + "' is not valid.");
        }

        static Exception Refused(object value, string type)
        {
            var text = value as string;
            return text != null ? Refused(text, type) : new InvalidCastException("Conversion from type '" + NameOf(value) + "' to type '" + type + "' is not valid.");
        }

        /// <summary>The type of a value as programs call it.</summary>
        public static string NameOf(object value)
        {
            if (value == null) return "Nothing";
            if (value is int) return "Integer";
            if (value is long) return "Long";
            if (value is short) return "Short";
            if (value is float) return "Single";
            if (value is bool) return "Boolean";
            if (value is DateTime) return "Date";
            return value.GetType().Name;
        }

        /// <summary>A text as a decimal number, with blanks around it; also &amp;H and &amp;O.</summary>
        static bool Number(string text, out double number)
        {
            string plain = (text ?? "").Trim();
            if (plain.StartsWith("&H", StringComparison.OrdinalIgnoreCase))
            {
                long whole;
                bool good = long.TryParse(plain.Substring(2), NumberStyles.HexNumber, CultureInfo.InvariantCulture, out whole);
                number = whole;
                return good;
            }
            return double.TryParse(plain, NumberStyles.Float | NumberStyles.AllowThousands | NumberStyles.AllowCurrencySymbol, CultureInfo.InvariantCulture, out number);
        }

        public static bool IsNumber(string text)
        {
            double number;
            return Number(text, out number);
        }

        public static double Double(object value)
        {
            if (value == null) return 0;
            if (value is bool) return (bool)value ? -1 : 0;
            var text = value as string;
            if (value is char) text = value.ToString();
            double number;
            if (text != null)
            {
                if (!Number(text, out number)) throw Refused(text, "Double");
                return number;
            }
            if (value is Enum) return System.Convert.ToInt64(value);
            if (!(value is IConvertible) || value is DateTime) throw Refused(value, "Double");
            return System.Convert.ToDouble(value, CultureInfo.InvariantCulture);
        }

        public static double Double(string text)
        {
            double number;
            if (text == null) return 0;
            if (!Number(text, out number)) throw Refused(text, "Double");
            return number;
        }

        static decimal Exact(object value, string type)
        {
            if (value == null) return 0;
            if (value is bool) return (bool)value ? -1 : 0;
            if (value is decimal) return (decimal)value;
            if (value is int) return (int)value;
            if (value is Enum) return System.Convert.ToInt64(value);
            var text = value as string;
            if (text != null)
            {
                decimal exact;
                if (decimal.TryParse(text.Trim(), NumberStyles.Float | NumberStyles.AllowThousands | NumberStyles.AllowCurrencySymbol, CultureInfo.InvariantCulture, out exact)) return exact;
                double number;
                if (!Number(text, out number)) throw Refused(text, type);
                return (decimal)number;
            }
            if (value is char) throw Refused(value.ToString(), type);
            if (!(value is IConvertible) || value is DateTime) throw Refused(value, type);
            try
            {
                return System.Convert.ToDecimal(value, CultureInfo.InvariantCulture);
            }
            catch (OverflowException)
            {
                throw Overflow();
            }
        }

        static OverflowException Overflow() { return new OverflowException("Arithmetic operation resulted in an overflow."); }

        static decimal Whole(object value, string type, decimal from, decimal to)
        {
            // What a decimal number of many digits rounds to is told by the number, not by what is left of it.
            decimal whole = value is double ? Rounded((double)value) : value is float ? Rounded((float)value) : Math.Round(Exact(value, type), MidpointRounding.ToEven);
            if (whole < from || whole > to) throw Overflow();
            return whole;
        }

        static decimal Rounded(double value)
        {
            if (double.IsNaN(value) || Math.Abs(value) > 1e20) throw Overflow();
            return (decimal)Maths.Round(value);
        }

        public static int Integer(object value) { return (int)Whole(value, "Integer", int.MinValue, int.MaxValue); }
        public static uint UInteger(object value) { return (uint)Whole(value, "UInteger", uint.MinValue, uint.MaxValue); }
        public static long Long(object value) { return (long)Whole(value, "Long", long.MinValue, long.MaxValue); }
        public static ulong ULong(object value) { return (ulong)Whole(value, "ULong", ulong.MinValue, ulong.MaxValue); }
        public static short Short(object value) { return (short)Whole(value, "Short", short.MinValue, short.MaxValue); }
        public static ushort UShort(object value) { return (ushort)Whole(value, "UShort", ushort.MinValue, ushort.MaxValue); }
        public static byte Byte(object value) { return (byte)Whole(value, "Byte", byte.MinValue, byte.MaxValue); }
        public static sbyte SByte(object value) { return (sbyte)Whole(value, "SByte", sbyte.MinValue, sbyte.MaxValue); }
        public static decimal Decimal(object value) { return Exact(value, "Decimal"); }

        // A text that is Nothing counts as 0 (documented with the conversions); an empty one is no number.
        public static int Integer(string text) { return Integer((object)text); }
        public static long Long(string text) { return Long((object)text); }
        public static short Short(string text) { return Short((object)text); }
        public static byte Byte(string text) { return Byte((object)text); }
        public static decimal Decimal(string text) { return Decimal((object)text); }
        public static float Single(string text) { return (float)Double(text); }

        public static float Single(object value)
        {
            double number;
            var text = value as string;
            if (text == null) return (float)Double(value);
            if (!Number(text, out number)) throw Refused(text, "Single");
            return (float)number;
        }

        public static bool Boolean(object value)
        {
            if (value == null) return false;
            if (value is bool) return (bool)value;
            var text = value as string;
            if (text == null) return Double(value) != 0;
            if (string.Equals(text.Trim(), "True", StringComparison.OrdinalIgnoreCase)) return true;
            if (string.Equals(text.Trim(), "False", StringComparison.OrdinalIgnoreCase)) return false;
            double number;
            if (!Number(text, out number)) throw Refused(text, "Boolean");
            return number != 0;
        }

        public static char Char(object value)
        {
            if (value is char) return (char)value;
            var text = value as string;
            if (value == null || text != null) return string.IsNullOrEmpty(text) ? '\0' : text[0];
            throw Refused(value, "Char");
        }

        public static DateTime Date(object value)
        {
            if (value is DateTime) return (DateTime)value;
            var text = value as string;
            DateTime date;
            if (text == null || !DateTime.TryParse(text, CultureInfo.InvariantCulture, DateTimeStyles.None, out date)) throw Refused(value, "Date");
            return date;
        }

        /// <summary>A value as text.</summary>
        public static string Text(object value)
        {
            if (value == null) return "";
            if (value is Enum) return System.Convert.ToInt64(value).ToString(CultureInfo.InvariantCulture);
            var signs = value as char[];
            if (signs != null) return new string(signs);
            if (value is DateTime)
            {
                var date = (DateTime)value;
                return date.TimeOfDay == TimeSpan.Zero ? date.ToString("d", CultureInfo.CurrentCulture) : date.ToString(CultureInfo.CurrentCulture);
            }
            if (!(value is IConvertible) && !(value is Exception)) throw Refused(value, "String");
            return value.ToString();
        }

        // Without the way over an object, since these are the many.
        public static string Text(int value) { return value.ToString(CultureInfo.CurrentCulture); }
        public static string Text(double value) { return value.ToString(CultureInfo.CurrentCulture); }
        public static string Text(string value) { return value ?? ""; }
        public static string Text(char value) { return value.ToString(); }
        public static string Text(bool value) { return value.ToString(); }
        public static string Text(long value) { return value.ToString(CultureInfo.CurrentCulture); }
        public static string Text(float value) { return value.ToString(CultureInfo.CurrentCulture); }
        public static string Text(decimal value) { return value.ToString(CultureInfo.CurrentCulture); }
    }

    /// <summary>A value that is handed over by its place although it has none.</summary>
    public sealed class Box<T>
    {
        public T value;
        public Box(T value) { this.value = value; }
    }

    public static class Arrays
    {
        /// <summary>An array with another size that holds what the old one held.</summary>
        public static T[] Resized<T>(T[] old, int size)
        {
            var made = new T[size];
            if (old != null) Array.Copy(old, made, Math.Min(size, old.Length));
            return made;
        }

        public static T[,] Resized<T>(T[,] old, int rows, int columns)
        {
            if (old != null && old.GetLength(0) != rows) throw new ArrayTypeMismatchException("'ReDim' can only change the rightmost dimension.");
            var made = new T[rows, columns];
            if (old == null) return made;
            for (int row = 0; row < rows; row++)
                for (int column = 0; column < Math.Min(columns, old.GetLength(1)); column++) made[row, column] = old[row, column];
            return made;
        }
    }

    public static class Texts
    {
        /// <summary>The order of two texts by the numbers of their signs; Nothing is an empty text.</summary>
        public static int Compare(string one, string other) { return string.CompareOrdinal(one ?? "", other ?? ""); }

        /// <summary>True for a text of a form: ? any sign, * any signs, # a digit, [list] one of a list, [!list] none of it.</summary>
        public static bool Like(string text, string form) { return Like(text ?? "", 0, form ?? "", 0); }

        static bool Like(string text, int at, string form, int of)
        {
            if (of == form.Length) return at == text.Length;
            if (form[of] == '*')
            {
                for (int from = at; from <= text.Length; from++)
                    if (Like(text, from, form, of + 1)) return true;
                return false;
            }
            if (at == text.Length) return false;
            if (form[of] == '[')
            {
                int end = form.IndexOf(']', of + 1);
                if (end < 0) throw new ArgumentException("Argument 'Pattern' is not a valid value.");
                string list = form.Substring(of + 1, end - of - 1);
                bool not = list.StartsWith("!", StringComparison.Ordinal);
                return Listed(text[at], not ? list.Substring(1) : list) != not && Like(text, at + 1, form, end + 1);
            }
            bool fits = form[of] == '?' || (form[of] == '#' ? char.IsDigit(text[at]) : form[of] == text[at]);
            return fits && Like(text, at + 1, form, of + 1);
        }

        static bool Listed(char sign, string list)
        {
            for (int at = 0; at < list.Length; at++)
            {
                bool range = at + 2 < list.Length && list[at + 1] == '-';
                if (range ? sign >= list[at] && sign <= list[at + 2] : sign == list[at]) return true;
                if (range) at += 2;
            }
            return false;
        }
    }
}
