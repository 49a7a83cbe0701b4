using System;
using System.Globalization;

namespace BentNail.Basic
{
    /// <summary>Signs between values whose types are known only when the program runs.</summary>
    public static class Late
    {
        static Exception Undefined(string sign, object left, object right)
        {
            return new InvalidCastException("Operator '" + sign + "' is not defined for type '" + To.NameOf(left) + "' and type '" + To.NameOf(right) + "'.");
        }

        static bool IsText(object value) { return value is string || value is char; }
        static bool IsWhole(object value) { return value == null || value is int || value is short || value is byte || value is long || value is bool || value is Enum; }
        static bool IsNumber(object value) { return IsWhole(value) || value is double || value is float || value is decimal || value is IConvertible && !(value is string) && !(value is DateTime); }

        static object Fitting(long value, object left, object right)
        {
            if (left is long || right is long) return value;
            return value >= int.MinValue && value <= int.MaxValue ? (object)(int)value : value;
        }

        public static object Work(string sign, object left, object right)
        {
            if (sign == "+" && IsText(left) && IsText(right)) return To.Text(left) + To.Text(right);
            if (sign == "+" && (left is string && right == null || left == null && right is string)) return To.Text(left) + To.Text(right);
            if (!IsNumber(left) && !IsText(left) || !IsNumber(right) && !IsText(right)) throw Undefined(sign, left, right);
            if (sign == "and" || sign == "or" || sign == "xor")
            {
                if (left is bool && right is bool)
                {
                    bool one = (bool)left, other = (bool)right;
                    return sign == "and" ? one && other : sign == "or" ? one || other : one != other;
                }
                long first = To.Long(left), second = To.Long(right);
                return Fitting(sign == "and" ? first & second : sign == "or" ? first | second : first ^ second, left, right);
            }
            checked
            {
                if (sign == "^") return Math.Pow(To.Double(left), To.Double(right));
                if (sign == "\\") return Fitting(To.Long(left) / To.Long(right), left, right);
                if ((left is decimal || right is decimal) && !(left is double || right is double || IsText(left) || IsText(right)))
                {
                    decimal one = To.Decimal(left), other = To.Decimal(right);
                    return sign == "+" ? one + other : sign == "-" ? one - other : sign == "*" ? one * other : sign == "/" ? one / other : one % other;
                }
                if (sign != "/" && IsWhole(left) && IsWhole(right))
                {
                    long one = To.Long(left), other = To.Long(right);
                    return Fitting(sign == "+" ? one + other : sign == "-" ? one - other : sign == "*" ? one * other : one % other, left, right);
                }
                double a = To.Double(left), b = To.Double(right);
                return sign == "+" ? a + b : sign == "-" ? a - b : sign == "*" ? a * b : sign == "/" ? a / b : a % b;
            }
        }

        public static bool Compare(string sign, object left, object right)
        {
            int order;
            if ((IsText(left) || left == null) && (IsText(right) || right == null)) order = Texts.Compare(To.Text(left), To.Text(right));
            else if (left is DateTime && right is DateTime) order = ((DateTime)left).CompareTo((DateTime)right);
            else if (left is decimal || right is decimal) order = To.Decimal(left).CompareTo(To.Decimal(right));
            else if (!IsNumber(left) && !IsText(left) || !IsNumber(right) && !IsText(right)) throw Undefined(sign, left, right);
            else order = To.Double(left).CompareTo(To.Double(right));
            switch (sign)
            {
                case "=": return order == 0;
                case "<>": return order != 0;
                case "<": return order < 0;
                case "<=": return order <= 0;
                case ">": return order > 0;
                default: return order >= 0;
            }
        }

        /// <summary>Whether a counter of a For has not passed its last value.</summary>
        public static bool Before(object counter, object last, object step)
        {
            return To.Double(step) >= 0 ? Compare("<=", counter, last) : Compare(">=", counter, last);
        }
    }
}
