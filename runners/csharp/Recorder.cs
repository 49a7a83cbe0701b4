using System;
using System.Collections;
using System.Collections.Generic;
using System.Globalization;
using System.Reflection;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using System.Text;
using System.Threading;

namespace BentNail
{
    /// <summary>
    /// Writes what every executed line of an instrumented program did (see Instrument), as the stream of tokens that the Python recorder
    /// describes, to descriptor 60 (commands.py says how). Only the main thread is recorded. No method of the program is called here.
    /// </summary>
    public static class Recorder
    {
        const int Header = 16;
        const int Chunk = 64;
        const int MostItems = 200;
        const int MostDepth = 6;
        const int MostObjects = 20000;
        const long Bytes = 64L << 20;
        /// <summary>Stands for all places of a line that is one step whatever is done there.</summary>
        const int HeaderPoint = -2;

        static IntPtr memory;
        static int used = Header;
        static readonly StringBuilder Tokens = new StringBuilder("[");
        static int count;
        static int limit;
        static Thread own;
        static readonly List<Frame> Stack = new List<Frame>();
        static int frames;
        static readonly Dictionary<string, int> Columns = new Dictionary<string, int>();
        static readonly Dictionary<object, int> Ids = new Dictionary<object, int>(new Same());
        static readonly Dictionary<object, string> Library = new Dictionary<object, string>(new Same());
        /// <summary>What arrays and objects of the program held when they were last written whole.</summary>
        static readonly Dictionary<object, string> Held = new Dictionary<object, string>(new Same());
        static bool changedThrough;
        /// <summary>All that long lists held when they were last looked at, of which only the beginning is written.</summary>
        static readonly Dictionary<object, object[]> Long = new Dictionary<object, object[]>(new Same());
        const int MostBehind = 3;
        static Exception told;
        static bool inside;

        sealed class Frame
        {
            public int Number;
            public int File;
            public int Line;
            public int Point = -1;
            public bool Waiting;
            /// <summary>The row that was begun is the one of its line's next place, too.</summary>
            public bool Begun;
        }

        sealed class Same : IEqualityComparer<object>
        {
            bool IEqualityComparer<object>.Equals(object one, object other) { return ReferenceEquals(one, other); }
            int IEqualityComparer<object>.GetHashCode(object value) { return RuntimeHelpers.GetHashCode(value); }
        }

        [DllImport("libc")]
        static extern IntPtr mmap(IntPtr address, UIntPtr length, int protection, int flags, int descriptor, IntPtr offset);

        [DllImport("libc")]
        static extern void _exit(int code);

        /// <summary>Begins. Called once, before anything of the program.</summary>
        static void Start()
        {
            memory = mmap(IntPtr.Zero, (UIntPtr)(ulong)Bytes, 3, 1, 60, IntPtr.Zero);
            limit = int.Parse(Environment.GetEnvironmentVariable("BENT_NAIL_STEPS") ?? "20000");
            own = Thread.CurrentThread;
            AppDomain.CurrentDomain.ProcessExit += (sender, arguments) => Flush();
            AppDomain.CurrentDomain.UnhandledException += (sender, arguments) =>
            {
                Raised(arguments.ExceptionObject as Exception);
                Flush();
                // Said by the run-time system itself only where nobody listens.
                Console.Error.WriteLine("\nUnhandled Exception:\n" + arguments.ExceptionObject);
            };
        }

        static bool Off() { return inside || Thread.CurrentThread != own; }

        static void Token(string text)
        {
            if (Tokens.Length > 1) Tokens.Append(',');
            Tokens.Append(text);
        }

        static void Flush()
        {
            lock (Tokens)
            {
                if (memory == IntPtr.Zero || Tokens.Length == 1) return;
                byte[] data = Encoding.UTF8.GetBytes(Tokens.Append(']').ToString());
                Tokens.Length = 1;
                if (used + 4 + data.Length > Bytes) return;
                Marshal.WriteInt32(memory, used, data.Length);
                Marshal.Copy(data, 0, IntPtr.Add(memory, used + 4), data.Length);
                used += 4 + data.Length;
                Marshal.WriteInt32(memory, 0, used);
            }
        }

        static void Begin(int line)
        {
            count++;
            if (count > limit)
            {
                Flush();
                Marshal.WriteInt32(memory, 12, 1);
                _exit(0);
            }
            if (count % Chunk == 0) Flush();
            Marshal.WriteInt32(memory, 4, line);
            Marshal.WriteInt32(memory, 8, count);
        }

        /// <summary>Enters a method; returns the number of its frame, which every other call hands back.</summary>
        public static int Enter(int file, int line, string name)
        {
            if (own == null) Start();
            if (Off()) return -1;
            inside = true;
            Sweep();
            if (Stack.Count > 0) Stack[Stack.Count - 1].Waiting = true;
            var frame = new Frame { Number = ++frames, File = file, Line = line, Begun = name == "static" || Basic };
            Stack.Add(frame);
            Begin(line);
            Token("[\"c\"," + frame.Number + "," + file + "," + (Stack.Count - 1) + "," + line + "," + Quote(name) + "]");
            inside = false;
            return frame.Number;
        }

        static bool Current(int number)
        {
            while (Stack.Count > 0 && Stack[Stack.Count - 1].Number != number) Stack.RemoveAt(Stack.Count - 1);
            if (Stack.Count == 0) return false;
            Frame frame = Stack[Stack.Count - 1];
            if (frame.Waiting)
            {
                frame.Waiting = false;
                Begin(frame.Line);
                Token("[\"r\"," + frame.Number + "," + frame.File + "," + (Stack.Count - 1) + "," + frame.Line + "]");
            }
            return true;
        }

        /// <summary>The place `point` (its offset) of a line is about to run; the same line further on is the same step. A point below 0: all places of
        /// the line are.</summary>
        public static void Line(int number, int line, int point)
        {
            if (number < 0 || Off()) return;
            inside = true;
            if (Current(number))
            {
                Frame frame = Stack[Stack.Count - 1];
                bool sameStep = frame.Line == line && (frame.Begun || (point < 0 ? frame.Point == HeaderPoint : point > frame.Point && frame.Point >= 0));
                if (!sameStep)
                {
                    Sweep();
                    Begin(line);
                    Token(line.ToString(CultureInfo.InvariantCulture));
                    frame.Line = line;
                }
                frame.Begun = false;
                frame.Point = point < 0 ? HeaderPoint : point;
            }
            inside = false;
        }

        public static void Local(int number, object value, string name)
        {
            if (number < 0 || Off()) return;
            inside = true;
            if (Current(number))
            {
                if (name == "Me" && IsForm(value)) Form(value);
                else Write(1, name, Value(value, 0));
            }
            inside = false;
        }

        /// <summary>True for a form of a program in typed Basic.</summary>
        static bool IsForm(object value)
        {
            for (Type type = Basic && value != null ? value.GetType() : null; type != null; type = type.BaseType)
                if (type.FullName == "BentNail.Basic.Form") return true;
            return false;
        }

        static readonly HashSet<object> Forms = new HashSet<object>(new Same());

        /// <summary>Something on a form by its name there, and what was told of it last.</summary>
        sealed class Watch
        {
            public string Name;
            public object Control;
            public string Told;
        }

        static readonly List<Watch> Watched = new List<Watch>();

        /// <summary>What a form remembers are names that all of it knows, the first time that it is seen; so is what stands on it, by what it shows.</summary>
        static void Form(object form)
        {
            if (!Forms.Add(form)) return;
            for (Type type = form.GetType(); type != null && !IsLibrary(type); type = type.BaseType)
                foreach (FieldInfo field in type.GetFields(BindingFlags.Instance | BindingFlags.Public | BindingFlags.NonPublic | BindingFlags.DeclaredOnly))
                    Part(FieldName(field.Name), field.GetValue(form), IsOurs(field.FieldType));
        }

        static void Part(string name, object value, bool control)
        {
            if (!control) Write(0, name, Value(value, 0));
            else if (value != null && !Watched.Exists(each => each.Control == value)) Watched.Add(new Watch { Name = name, Control = value, Told = "\"\"" });
        }

        /// <summary>What stands on forms and shows something else than it did.</summary>
        static void Look()
        {
            foreach (Watch each in Watched)
            {
                var facts = (object[])each.Control.GetType().GetMethod("Facts").Invoke(each.Control, null);
                string told = facts.Length == 2 ? Short(facts[1]) : "";
                for (int at = 0; facts.Length > 2 && at + 1 < facts.Length; at += 2) told += (at > 0 ? ", " : "") + facts[at] + "=" + Short(facts[at + 1]);
                if (told == each.Told) continue;
                each.Told = told;
                Write(0, each.Name, Plain(each.Control.GetType().Name, told));
            }
        }

        /// <summary>A value of what stands on a form, as the language writes it.</summary>
        static string Short(object value)
        {
            var items = value as IEnumerable;
            if (value is string) return "\"" + Shown(Cut((string)value)) + "\"";
            if (items == null) return Convert.ToString(value, CultureInfo.InvariantCulture);
            var shown = new List<string>();
            foreach (object item in items) if (shown.Count < 20) shown.Add(Short(item));
            return "[" + string.Join(", ", shown.ToArray()) + "]";
        }

        public static void Global(int number, object value, string name)
        {
            if (number < 0 || Off()) return;
            inside = true;
            if (Current(number)) Write(0, name, Value(value, 0));
            inside = false;
        }

        public static void Field(object owner, object value, int number, string name)
        {
            if (number < 0 || Off() || owner == null) return;
            inside = true;
            int id;
            if (IsForm(owner))
            {
                if (Current(number) && Forms.Contains(owner)) Part(name, value, value != null && IsOurs(value.GetType()));
            }
            else if (Current(number) && Ids.TryGetValue(owner, out id)) Token("[\"o\"," + id + ",[" + Quote(name) + "]," + Value(value, 0) + "]");
            inside = false;
        }

        public static void Element(Array array, int index, int number)
        {
            if (number < 0 || Off() || array == null) return;
            inside = true;
            int id;
            if (Current(number) && Ids.TryGetValue(array, out id)) Token("[\"o\"," + id + ",[" + index + "]," + Value(array.GetValue(index), 0) + "]");
            inside = false;
        }

        /// <summary>Something was changed by its address: what the program's arrays and objects hold is looked at when the line is over.</summary>
        public static void Through(int number)
        {
            if (number >= 0 && !Off()) changedThrough = true;
        }

        /// <summary>The call that is going on, for what is done in its name.</summary>
        public static int Top() { return Off() || Stack.Count == 0 ? -1 : Stack[Stack.Count - 1].Number; }

        /// <summary>The scope of a variable is over.</summary>
        public static void Ended(int number, string name)
        {
            int column;
            if (number < 0 || Off() || Stack.Count == 0 || Stack[Stack.Count - 1].Number != number || Stack[Stack.Count - 1].Waiting || !Columns.TryGetValue("1" + name, out column)) return;
            inside = true;
            Sweep();
            Token("[\"e\"," + column + "]");
            inside = false;
        }

        public static void Returned(int number, object value, bool something)
        {
            if (number < 0 || Off()) return;
            inside = true;
            if (Current(number))
            {
                Sweep();
                if (something) Token("[\"v\"," + Value(value, 0) + "]");
                Stack.RemoveAt(Stack.Count - 1);
                // The line that made the call goes on at once, since it may print before it gives anything a value.
                if (Stack.Count > 0) Current(Stack[Stack.Count - 1].Number);
            }
            inside = false;
        }

        public static void Caught(object problem, int number, int line)
        {
            if (number < 0 || Off()) return;
            inside = true;
            Raised(problem as Exception);
            while (Stack.Count > 0 && Stack[Stack.Count - 1].Number != number) Stack.RemoveAt(Stack.Count - 1);
            if (Stack.Count > 0)
            {
                Frame frame = Stack[Stack.Count - 1];
                frame.Waiting = false;
                frame.Begun = true;
                Token("[\"f\"," + frame.Number + "," + frame.File + "," + (Stack.Count - 1) + "]");
                Begin(line);
                Token(line.ToString(CultureInfo.InvariantCulture));
                frame.Line = line;
            }
            inside = false;
        }

        static void Raised(Exception problem)
        {
            if (problem == null || problem == told || count == 0) return;
            told = problem;
            string message = problem.GetType().Assembly == typeof(object).Assembly ? problem.Message : "";
            Token("[\"x\"," + Quote(problem.GetType().Name) + "," + Quote(Cut(message)) + "]");
        }

        static string Cut(string text) { return text.Length > 200 ? text.Substring(0, 200) + "…" : text; }

        static void Write(int scope, string name, string value)
        {
            string key = scope + name;
            int column;
            if (!Columns.TryGetValue(key, out column))
            {
                column = Columns.Count + 1;
                Columns[key] = column;
                Token("[\"d\"," + column + "," + scope + "," + Quote(name) + "]");
            }
            Token("-" + column);
            Token(value);
        }

        /// <summary>What methods of the library changed in collections that were met before.</summary>
        static void Sweep()
        {
            if (changedThrough) Sweep(Held);
            changedThrough = false;
            if (Library.Count > 0) Sweep(Library);
            if (Watched.Count > 0) Look();
        }

        static void Sweep(Dictionary<object, string> held)
        {
            foreach (var each in new List<KeyValuePair<object, string>>(held))
            {
                string items;
                try { items = Items(each.Key, 0); }
                catch (InvalidOperationException) { continue; }
                if (items == each.Value)
                {
                    if (each.Key is IList && !(each.Key is Array)) TellBehind((IList)each.Key);
                    continue;
                }
                KeepLong(each.Key);
                held[each.Key] = items;
                Token("[\"o\"," + Ids[each.Key] + ",[]," + Whole(each.Key, items) + "]");
            }
        }

        static void KeepLong(object value)
        {
            var list = value as IList;
            if (list == null || value is Array || list.Count <= MostItems) return;
            var all = new object[list.Count];
            list.CopyTo(all, 0);
            Long[value] = all;
        }

        /// <summary>What changed behind the written part of a list: its length, and the last few places.</summary>
        static void TellBehind(IList list)
        {
            object[] before;
            bool isKnown = Long.TryGetValue(list, out before);
            if (list.Count <= MostItems && !isKnown) return;
            int known = isKnown ? before.Length : MostItems;
            var changed = new List<int>();
            for (int at = MostItems; at < list.Count; at++) if (at >= known || !Equal(before[at], list[at])) changed.Add(at);
            if (list.Count <= MostItems) Long.Remove(list);
            KeepLong(list);
            if (list.Count != known) Token("[\"o\"," + Ids[list] + ",[\"length\"]," + list.Count + "]");
            for (int at = Math.Max(0, changed.Count - MostBehind); at < changed.Count; at++)
                Token("[\"o\"," + Ids[list] + ",[" + changed[at] + "]," + Value(list[changed[at]], 1) + "]");
        }

        static bool Equal(object one, object other)
        {
            return ReferenceEquals(one, other) || (one != null && (one is string || one.GetType().IsPrimitive || one is decimal) && one.Equals(other));
        }

        static string Plain(string type, string text) { return "[" + Quote(Named(type)) + "," + Quote(text) + "]"; }

        /// <summary>True for programs in typed Basic: values and types are told by its words (BENT_NAIL_WORDS).</summary>
        static readonly bool Basic = Environment.GetEnvironmentVariable("BENT_NAIL_WORDS") == "basic";
        static readonly Dictionary<string, string> BasicNames = new Dictionary<string, string> { { "Int32", "Integer" }, { "Int64", "Long" }, { "Int16", "Short" }, { "UInt32", "UInteger" }, { "UInt64", "ULong" }, { "UInt16", "UShort" }, { "double", "Double" }, { "float", "Single" }, { "string", "String" }, { "char", "Char" }, { "bool", "Boolean" }, { "DateTime", "Date" } };

        static string Named(string type)
        {
            string name;
            return Basic && BasicNames.TryGetValue(type, out name) ? name : type;
        }

        /// <summary>True for what stands on a form, and lists of that (runners/basic).</summary>
        static bool IsOurs(Type type) { return Basic && type.Assembly.GetName().Name == "basic"; }

        static bool IsLibrary(Type type) { return type.Assembly == typeof(object).Assembly || type.Assembly.GetName().Name.StartsWith("System", StringComparison.Ordinal) || IsOurs(type); }

        static string Value(object value, int depth)
        {
            if (value == null) return Basic ? "[\"null\",\"Nothing\"]" : "[\"null\",\"null\"]";
            if (value is string) return Plain("string", "\"" + Shown(Cut((string)value)) + "\"");
            if (value is char) return Plain("char", Basic ? "\"" + Shown(value.ToString()) + "\"c" : "'" + Shown(value.ToString()) + "'");
            if (value is bool) return Plain("bool", Basic ? value.ToString() : (bool)value ? "true" : "false");
            Type type = value.GetType();
            if (value is float) return Plain("float", ((float)value).ToString("R", CultureInfo.InvariantCulture));
            if (value is double) return Plain("double", ((double)value).ToString("R", CultureInfo.InvariantCulture));
            if (type.IsPrimitive || value is decimal) return Plain(type.Name, Convert.ToString(value, CultureInfo.InvariantCulture));
            if (type.IsEnum) return Plain(type.Name, Enum.GetName(type, value) ?? Convert.ToInt64(value).ToString(CultureInfo.InvariantCulture));
            if (value is Delegate) return Plain("function", "(function)");
            if (value is Exception) return Plain(type.Name, type.Name + (IsLibrary(type) ? ": " + Cut(((Exception)value).Message) : ""));
            if (IsTuple(type)) return "[" + Quote("tuple") + ",null,0," + Items(value, depth) + ",\"t\"]";
            if (IsLibrary(type) && value is IFormattable && type.IsValueType) return Plain(type.Name, Convert.ToString(value, CultureInfo.InvariantCulture));
            bool library = IsLibrary(type) && !type.IsArray;
            bool holds = IsOurs(type) ? !type.IsEnum : library ? value is StringBuilder || (value is ICollection && type.IsGenericType) || value is ArrayList || IsSet(type) : true;
            if (!holds || depth > MostDepth) return Plain(Title(type), "(" + Title(type) + ")");
            if (type.IsValueType) return "[" + Quote(Title(type)) + ",null,0," + Items(value, depth) + ",\"o\"]";
            int id;
            if (Ids.TryGetValue(value, out id)) return "[" + Quote(Title(type)) + ",null," + id + "]";
            if (Ids.Count >= MostObjects) return Plain(Title(type), "…");
            Ids[value] = Ids.Count + 1;
            string items = Items(value, depth);
            (library ? Library : Held)[value] = items;
            KeepLong(value);
            return Whole(value, items);
        }

        static string Whole(object value, string items)
        {
            Type type = value.GetType();
            string shape = Shape(value);
            var collection = value as ICollection;
            string length = collection != null && collection.Count > MostItems ? "," + collection.Count : "";
            return "[" + Quote(shape == "l" ? "list" : Title(type)) + ",null," + Ids[value] + "," + items + ",\"" + shape + "\"" + length + "]";
        }

        static string Title(Type type)
        {
            int mark = type.Name.IndexOf('`');
            if (Basic && type.IsArray) return Title(type.GetElementType()) + "(" + new string(',', type.GetArrayRank() - 1) + ")";
            return mark < 0 ? Named(type.Name) : type.Name.Substring(0, mark);
        }

        static bool IsTuple(Type type)
        {
            return type.IsGenericType && IsLibrary(type) && (Title(type) == "ValueTuple" || Title(type) == "Tuple" || Title(type) == "KeyValuePair");
        }

        static bool IsSet(Type type) { return IsLibrary(type) && (Title(type) == "HashSet" || Title(type) == "SortedSet"); }

        static string Shape(object value)
        {
            if (value is StringBuilder) return "o";
            if (value is IDictionary) return "d";
            if (IsSet(value.GetType())) return "s";
            return value is Array || (value is ICollection && IsLibrary(value.GetType())) ? "l" : "o";
        }

        static string Items(object value, int depth)
        {
            var found = new List<string>();
            var dictionary = value as IDictionary;
            if (value is StringBuilder) found.Add("[\"text\"," + Plain("string", "\"" + Shown(Cut(value.ToString())) + "\"") + "]");
            else if (IsOurs(value.GetType()) && !(value is ICollection))
            {
                var facts = (object[])value.GetType().GetMethod("Facts").Invoke(value, null);
                for (int at = 0; at + 1 < facts.Length; at += 2) found.Add("[" + Quote((string)facts[at]) + "," + Value(facts[at + 1], depth + 1) + "]");
            }
            else if (dictionary != null && IsLibrary(value.GetType()))
            {
                foreach (DictionaryEntry item in dictionary)
                {
                    if (found.Count >= MostItems) break;
                    found.Add("[" + Quote(Key(item.Key)) + "," + Value(item.Value, depth + 1) + "]");
                }
            }
            else if (value is Array && ((Array)value).Rank == 2)
            {
                var table = (Array)value;
                for (int row = 0; row < Math.Min(table.GetLength(0), 50); row++)
                {
                    var cells = new List<string>();
                    for (int column = 0; column < Math.Min(table.GetLength(1), 50); column++) cells.Add(Value(table.GetValue(row, column), depth + 2));
                    found.Add("[\"list\",null,0,[" + string.Join(",", cells.ToArray()) + "],\"l\"]");
                }
            }
            else if (IsTuple(value.GetType()))
            {
                foreach (FieldInfo field in value.GetType().GetFields(BindingFlags.Instance | BindingFlags.Public | BindingFlags.NonPublic))
                    found.Add(Value(field.GetValue(value), depth + 1));
            }
            else if (value is Array || IsSet(value.GetType()) || (value is ICollection && IsLibrary(value.GetType())))
            {
                foreach (object item in (IEnumerable)value)
                {
                    if (found.Count >= MostItems) break;
                    found.Add(Value(item, depth + 1));
                }
            }
            else
            {
                for (Type type = value.GetType(); type != null && !IsLibrary(type); type = type.BaseType)
                {
                    foreach (FieldInfo field in type.GetFields(BindingFlags.Instance | BindingFlags.Public | BindingFlags.NonPublic | BindingFlags.DeclaredOnly))
                        found.Add("[" + Quote(FieldName(field.Name)) + "," + Value(field.GetValue(value), depth + 1) + "]");
                }
            }
            return "[" + string.Join(",", found.ToArray()) + "]";
        }

        /// <summary>The name of a property for the field that the translator made for it.</summary>
        public static string FieldName(string name)
        {
            int end = name.IndexOf('>');
            return name.StartsWith("<", StringComparison.Ordinal) && end > 1 ? name.Substring(1, end - 1) : name;
        }

        static string Key(object key)
        {
            if (key is string) return "\"" + Shown(Cut((string)key)) + "\"";
            if (key is char) return Basic ? "\"" + key + "\"c" : "'" + key + "'";
            Type type = key.GetType();
            return type.IsPrimitive || type.IsEnum ? Convert.ToString(key, CultureInfo.InvariantCulture) : "(" + Title(type) + ")";
        }

        static string Shown(string text)
        {
            return text.Replace("\\", "\\\\").Replace("\n", "\\n").Replace("\t", "\\t").Replace("\r", "\\r").Replace("\"", "\\\"");
        }

        static string Quote(string text)
        {
            var quoted = new StringBuilder(text.Length + 2).Append('"');
            foreach (char each in text)
            {
                if (each == '"' || each == '\\') quoted.Append('\\').Append(each);
                else if (each < ' ' || (each >= 0x7f && each < 0xa0) || char.IsSurrogate(each)) quoted.Append("\\u").Append(((int)each).ToString("x4"));
                else quoted.Append(each);
            }
            return quoted.Append('"').ToString();
        }
    }
}
