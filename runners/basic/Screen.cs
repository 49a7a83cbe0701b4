using System;
using System.Globalization;
using System.IO;
using System.Threading;

namespace BentNail.Basic
{
    /// <summary>The console of a program: the system's own, but for what needs a screen, which does nothing.</summary>
    public static class Screen
    {
        public static ConsoleColor ForegroundColor { get; set; }
        public static ConsoleColor BackgroundColor { get; set; }
        public static string Title { get; set; }
        public static TextReader In { get { return Console.In; } }
        public static TextWriter Out { get { return Console.Out; } }
        public static TextWriter Error { get { return Console.Error; } }

        /// <summary>Called before a program: numbers by chance begin anew, and numbers and dates are written as on the islands.</summary>
        public static void Begin()
        {
            Thread.CurrentThread.CurrentCulture = CultureInfo.GetCultureInfo("en-GB");
            Functions.Begin();
            Dialogs.Begin();
            Player.Begin();
        }

        public static void WriteLine() { Console.WriteLine(); }
        public static void WriteLine(string text) { Console.WriteLine(text); }
        public static void WriteLine(string form, params object[] values) { Console.WriteLine(form, values); }
        public static void WriteLine(object value) { Console.WriteLine(value); }
        public static void WriteLine(char[] signs) { Console.WriteLine(signs); }
        public static void WriteLine(int value) { Console.WriteLine(value); }
        public static void WriteLine(double value) { Console.WriteLine(value); }
        public static void WriteLine(bool value) { Console.WriteLine(value); }
        public static void WriteLine(char value) { Console.WriteLine(value); }
        public static void WriteLine(decimal value) { Console.WriteLine(value); }
        public static void WriteLine(long value) { Console.WriteLine(value); }
        public static void WriteLine(float value) { Console.WriteLine(value); }
        public static void Write(string text) { Console.Write(text); }
        public static void Write(string form, params object[] values) { Console.Write(form, values); }
        public static void Write(object value) { Console.Write(value); }
        public static void Write(int value) { Console.Write(value); }
        public static void Write(double value) { Console.Write(value); }
        public static void Write(bool value) { Console.Write(value); }
        public static void Write(char value) { Console.Write(value); }
        public static void Write(decimal value) { Console.Write(value); }
        public static void Write(long value) { Console.Write(value); }
        public static void Write(float value) { Console.Write(value); }
        public static string ReadLine() { return Console.ReadLine(); }
        public static int Read() { return Console.Read(); }

        /// <summary>A key: the next sign that is typed in; at the end of what is typed in, none.</summary>
        public static ConsoleKeyInfo ReadKey(bool hidden = false)
        {
            int sign = Console.Read();
            return sign < 0 ? new ConsoleKeyInfo() : new ConsoleKeyInfo((char)sign, char.IsLetter((char)sign) ? (ConsoleKey)char.ToUpper((char)sign) : 0, false, false, false);
        }

        public static void Clear() { }
        public static void ResetColor() { }
        public static void Beep() { }
        public static void Beep(int height, int time) { }
    }

    public enum MsgBoxResult { Ok = 1, Cancel = 2, Abort = 3, Retry = 4, Ignore = 5, Yes = 6, No = 7 }
    public enum DialogResult { None = 0, OK = 1, Cancel = 2, Abort = 3, Retry = 4, Ignore = 5, Yes = 6, No = 7 }
    public enum MsgBoxStyle { OkOnly = 0, OKOnly = 0, OkCancel = 1, YesNoCancel = 3, YesNo = 4, Critical = 16, Question = 32, Exclamation = 48, Information = 64 }
    public enum MessageBoxButtons { OK = 0, OKCancel = 1, YesNoCancel = 3, YesNo = 4 }
    public enum MessageBoxIcon { None = 0, Error = 16, Question = 32, Warning = 48, Exclamation = 48, Information = 64 }

    public static class MessageBox
    {
        public static DialogResult Show(object text, object title = null, MessageBoxButtons buttons = MessageBoxButtons.OK, MessageBoxIcon icon = MessageBoxIcon.None)
        {
            return (DialogResult)Dialogs.Show(To.Text(text), (int)buttons);
        }
    }

    /// <summary>Boxes that a program shows: what they say is printed, what is answered is typed in.</summary>
    static class Dialogs
    {
        static string ahead;

        internal static void Begin() { ahead = null; }

        /// <summary>The next line of what is typed in, without taking it; null at the end.</summary>
        internal static string Ahead()
        {
            if (ahead == null) ahead = Console.ReadLine();
            return ahead;
        }

        internal static string Take()
        {
            string line = Ahead();
            ahead = null;
            return line;
        }

        /// <summary>What is answered to a box: the next line; on a form only one that begins with answer.</summary>
        static string Answer()
        {
            if (!Player.Plays) return Take();
            string line = Ahead();
            if (line == null) return null;
            string[] words = line.Trim().Split(new[] { ' ' }, 2);
            if (words[0].ToLowerInvariant() != "answer") return null;
            Take();
            return words.Length > 1 ? words[1].Trim() : "";
        }

        internal static string Ask(string text, string first)
        {
            Console.Write(text + (text.EndsWith(" ", StringComparison.Ordinal) || text.EndsWith("\n", StringComparison.Ordinal) ? "" : " "));
            string line = Answer();
            return line == null ? first : line == "" ? first : line;
        }

        /// <summary>The number of the button that is pressed: the first, unless on a form another one is answered.</summary>
        internal static int Show(string text, int style)
        {
            Console.WriteLine(text);
            int buttons = style & 15;
            int pressed = buttons == 3 || buttons == 4 ? 6 : buttons == 2 ? 3 : buttons == 5 ? 4 : 1;
            if (buttons == 0 || !Player.Plays) return pressed;
            switch ((Answer() ?? "").ToLowerInvariant())
            {
                case "no": return 7;
                case "cancel": return 2;
                case "yes": return 6;
                case "ok": return 1;
                default: return pressed;
            }
        }
    }
}
