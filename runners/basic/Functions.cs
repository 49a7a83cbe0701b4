using System;
using System.Collections.Generic;
using System.Globalization;
using System.Linq;
using System.Text;

namespace BentNail.Basic
{
    /// <summary>Routines that belong to nobody (language reference, "Run-time library members"). Positions in texts are 1-based, as there.</summary>
    public static class Functions
    {
        public const int vbOKOnly = 0, vbOKCancel = 1, vbYesNoCancel = 3, vbYesNo = 4, vbCritical = 16, vbQuestion = 32, vbExclamation = 48, vbInformation = 64;
        public const int vbOK = 1, vbCancel = 2, vbYes = 6, vbNo = 7;

        static ArgumentException Argument(string name) { return new ArgumentException("Argument '" + name + "' is not a valid value."); }

        public static MsgBoxResult MsgBox(object text, object style = null, object title = null)
        {
            return (MsgBoxResult)Dialogs.Show(To.Text(text), style is Enum ? Convert.ToInt32(style) : To.Integer(style ?? 0));
        }

        public static string InputBox(object text, object title = null, object first = null, object x = null, object y = null)
        {
            return Dialogs.Ask(To.Text(text), first == null ? "" : To.Text(first));
        }

        public static int Len(object value)
        {
            if (value == null) return 0;
            var text = value as string;
            return text != null ? text.Length : value is int || value is float ? 4 : value is double || value is long || value is DateTime ? 8 : value is short ? 2 : value is decimal ? 16 : To.Text(value).Length;
        }

        public static string Mid(object value, object from)
        {
            string text = To.Text(value);
            int at = To.Integer(from);
            if (at < 1) throw Argument("Start");
            return at > text.Length ? "" : text.Substring(at - 1);
        }

        public static string Mid(object value, object from, object length)
        {
            string text = Mid(value, from);
            int size = To.Integer(length);
            if (size < 0) throw Argument("Length");
            return size >= text.Length ? text : text.Substring(0, size);
        }

        public static string Left(string text, int length)
        {
            if (length < 0) throw Argument("Length");
            return length >= (text ?? "").Length ? text ?? "" : text.Substring(0, length);
        }

        public static string Right(string text, int length)
        {
            if (length < 0) throw Argument("Length");
            return length >= (text ?? "").Length ? text ?? "" : text.Substring(text.Length - length);
        }

        public static int InStr(object one, object other)
        {
            return To.Text(one).IndexOf(To.Text(other), StringComparison.Ordinal) + 1;
        }

        public static int InStr(object from, object one, object other)
        {
            int at = To.Integer(from);
            if (at < 1) throw Argument("Start");
            string text = To.Text(one);
            return at > text.Length ? 0 : text.IndexOf(To.Text(other), at - 1, StringComparison.Ordinal) + 1;
        }

        public static int InStrRev(object one, object other) { return To.Text(one).LastIndexOf(To.Text(other), StringComparison.Ordinal) + 1; }
        public static string UCase(string text) { return (text ?? "").ToUpper(); }
        public static string LCase(string text) { return (text ?? "").ToLower(); }
        public static string Trim(string text) { return (text ?? "").Trim(' '); }
        public static string LTrim(string text) { return (text ?? "").TrimStart(' '); }
        public static string RTrim(string text) { return (text ?? "").TrimEnd(' '); }

        /// <summary>The number that a text begins with, blanks left out; 0 where it begins with none.</summary>
        public static double Val(string text)
        {
            var digits = new StringBuilder();
            foreach (char sign in text ?? "")
            {
                if (char.IsWhiteSpace(sign)) continue;
                bool fits = char.IsDigit(sign) && sign < 128 || (sign == '-' || sign == '+') && (digits.Length == 0 || char.ToUpper(digits[digits.Length - 1]) == 'E') || sign == '.' && !digits.ToString().Contains(".") || char.ToUpper(sign) == 'E' && digits.Length > 0 && !digits.ToString().ToUpper().Contains("E");
                if (!fits) break;
                digits.Append(sign);
            }
            for (string plain = digits.ToString(); plain.Length > 0; plain = plain.Substring(0, plain.Length - 1))
            {
                double number;
                if (double.TryParse(plain, NumberStyles.Float, CultureInfo.InvariantCulture, out number)) return number;
            }
            return 0;
        }

        public static string Str(object value)
        {
            double number = To.Double(value);
            return (number < 0 ? "" : " ") + To.Text(value is string ? number : value);
        }

        public static char Chr(int code)
        {
            if (code < 0 || code > 255) throw Argument("CharCode");
            return (char)code;
        }

        public static char ChrW(int code) { return (char)code; }

        public static int Asc(string text)
        {
            if (string.IsNullOrEmpty(text)) throw new ArgumentException("Length of argument 'String' must be greater than zero.");
            return text[0];
        }

        public static int AscW(string text) { return Asc(text); }

        public static bool IsNumeric(object value)
        {
            if (value == null || value is DateTime) return false;
            if (value is bool) return true;
            var text = value as string;
            return text != null ? To.IsNumber(text) : value is char ? char.IsDigit((char)value) : value is IConvertible;
        }

        public static bool IsNothing(object value) { return value == null; }
        public static bool IsArray(object value) { return value is Array; }

        public static bool IsDate(object value)
        {
            DateTime date;
            return value is DateTime || value is string && DateTime.TryParse((string)value, CultureInfo.InvariantCulture, DateTimeStyles.None, out date);
        }

        public static double Int(double value) { return Math.Floor(value); }
        public static decimal Int(decimal value) { return Math.Floor(value); }
        public static double Fix(double value) { return Math.Truncate(value); }
        public static decimal Fix(decimal value) { return Math.Truncate(value); }

        // Numbers by chance: from the same beginning in every run, until Randomize is called (documented with Rnd).
        static int seed = 0x50000;
        internal static void Begin() { seed = 0x50000; }

        public static float Rnd(float way = 1)
        {
            if (way != 0)
            {
                if (way < 0)
                {
                    int bits = BitConverter.ToInt32(BitConverter.GetBytes(way), 0);
                    seed = unchecked(bits + (int)((uint)bits >> 24)) & 0xffffff;
                }
                seed = (int)((seed * 0x43fd43fdL + 0xc39ec3L) & 0xffffffL);
            }
            return seed / 16777216f;
        }

        public static void Randomize() { Randomize(Timer()); }

        public static void Randomize(double number)
        {
            int bits = BitConverter.ToInt32(BitConverter.GetBytes(number), 4);
            bits = ((bits & 0xffff) ^ (bits >> 16)) << 8;
            seed = (seed & ~0xffff00) | (bits & 0xffff00);
        }

        public static double Timer() { return DateTime.Now.TimeOfDay.TotalSeconds; }
        public static int UBound(Array array) { return UBound(array, 1); }

        public static int UBound(Array array, int rank)
        {
            if (array == null) throw new ArgumentNullException("Array");
            if (rank < 1 || rank > array.Rank) throw new RankException("Argument 'Rank' is not a valid value.");
            return array.GetUpperBound(rank - 1);
        }

        public static int LBound(Array array, int rank = 1)
        {
            if (array == null) throw new ArgumentNullException("Array");
            return 0;
        }

        public static string Replace(object text, object old, object by) { return To.Text(old) == "" ? To.Text(text) : To.Text(text).Replace(To.Text(old), To.Text(by)); }
        public static string[] Split(object text) { return Split(text, " "); }
        public static string[] Split(object text, object by) { return To.Text(text).Split(new[] { To.Text(by) }, StringSplitOptions.None); }
        public static string Join(string[] parts) { return string.Join(" ", parts); }
        public static string Join(string[] parts, object by) { return string.Join(To.Text(by), parts); }
        public static string StrReverse(string text) { return new string((text ?? "").Reverse().ToArray()); }

        public static string Space(int count)
        {
            if (count < 0) throw Argument("Number");
            return new string(' ', count);
        }

        public static string StrDup(object count, object sign)
        {
            string text = To.Text(sign);
            if (text == "" || To.Integer(count) < 0) throw Argument("Number");
            return new string(text[0], To.Integer(count));
        }

        public static int StrComp(object one, object other) { return Math.Sign(Texts.Compare(To.Text(one), To.Text(other))); }

        public static string Format(object value, string form = "")
        {
            switch ((form ?? "").ToLowerInvariant())
            {
                case "": return To.Text(value);
                case "currency": return FormatCurrency(value);
                case "fixed": return To.Decimal(value).ToString("0.00", CultureInfo.CurrentCulture);
                case "standard": return To.Decimal(value).ToString("#,##0.00", CultureInfo.CurrentCulture);
                case "percent": return FormatPercent(value);
            }
            var shown = (value is string && To.IsNumber((string)value) ? To.Double(value) : value) as IFormattable;
            return shown == null ? To.Text(value) : shown.ToString(form, CultureInfo.CurrentCulture);
        }

        public static string FormatNumber(object value, object digits = null) { return To.Double(value).ToString("N" + To.Integer(digits ?? 2), CultureInfo.CurrentCulture); }
        public static string FormatPercent(object value, object digits = null) { return (To.Double(value) * 100).ToString("N" + To.Integer(digits ?? 2), CultureInfo.CurrentCulture) + "%"; }
        public static string FormatCurrency(object value, object digits = null) { return To.Double(value).ToString("C" + To.Integer(digits ?? 2), CultureInfo.CurrentCulture); }
        public static object IIf(bool condition, object one, object other) { return condition ? one : other; }
        public static string Hex(object value) { return value is long ? ((long)value).ToString("X") : To.Integer(value).ToString("X"); }
        public static string Oct(object value) { return Convert.ToString(To.Integer(value), 8); }
    }
}
