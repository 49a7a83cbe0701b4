using System;

namespace BentNail.Basic
{
    /// <summary>Rounding as it is documented (halves to the even neighbour), since mono rounds a half up where it works it out before the run.</summary>
    public static class Maths
    {
        public static double Round(double value)
        {
            double low = Math.Floor(value);
            double rest = value - low;
            if (rest != 0.5) return rest < 0.5 ? low : low + 1;
            return low % 2 == 0 ? low : low + 1;
        }

        public static decimal Round(decimal value) { return Math.Round(value); }
        public static double Round(double value, int digits) { return digits == 0 ? Round(value) : Math.Round(value, digits, MidpointRounding.ToEven); }
        public static decimal Round(decimal value, int digits) { return Math.Round(value, digits, MidpointRounding.ToEven); }
        public static double Round(double value, MidpointRounding way) { return way == MidpointRounding.ToEven ? Round(value) : Math.Round(value, way); }
        public static decimal Round(decimal value, MidpointRounding way) { return Math.Round(value, way); }
        public static double Round(double value, int digits, MidpointRounding way) { return Math.Round(value, digits, way); }
        public static decimal Round(decimal value, int digits, MidpointRounding way) { return Math.Round(value, digits, way); }
    }
}
