using System;
using System.Collections.Generic;
using System.Globalization;
using System.IO;
using System.Reflection;
using System.Text;
using System.Threading;

namespace BentNail
{
    /// <summary>
    /// Runs many programs one after another in one run-time system, each from an assembly of its own: many LIST. The list holds the path of each, and behind a
    /// blank its namespace where it stands in an assembly with others (Together).
    /// Which one comes next is told by descriptor 61; how it ended by descriptor 62: its exit code, and "clean" if the next one finds everything
    /// as it was (runners/sandbox/bent_nail_sandbox/command_tries.py). One that ends the run-time system ends this one.
    /// </summary>
    public static class Many
    {
        static readonly UTF8Encoding Plain = new UTF8Encoding(false);

        public static int Run(string path)
        {
            string[] list = File.ReadAllLines(path);
            string folder = Environment.CurrentDirectory;
            CultureInfo culture = CultureInfo.DefaultThreadCurrentCulture;
            var orders = new StreamReader(new FileStream("/proc/self/fd/61", FileMode.Open, FileAccess.Read, FileShare.ReadWrite), Encoding.ASCII);
            var answers = new FileStream("/proc/self/fd/62", FileMode.Open, FileAccess.Write, FileShare.ReadWrite);
            Answer(answers, "ready");
            for (string order = orders.ReadLine(); order != null; order = orders.ReadLine())
            {
                string[] words = list[int.Parse(order)].Split(' ');
                int exit = One(words[0], words.Length > 1 ? words[1] : null);
                bool clean = exit <= 1 && Environment.CurrentDirectory == folder && CultureInfo.DefaultThreadCurrentCulture == culture;
                Answer(answers, exit + (clean ? " clean" : " left"));
            }
            return 0;
        }

        static void Answer(Stream answers, string words)
        {
            byte[] data = Encoding.ASCII.GetBytes(words + "\n");
            answers.Write(data, 0, data.Length);
            answers.Flush();
        }

        static readonly Dictionary<string, Assembly> Shared = new Dictionary<string, Assembly>();
        /// <summary>Programs that were run already: what they keep in their classes must not be there when they are run again.</summary>
        static readonly HashSet<string> Begun = new HashSet<string>();

        static Assembly Load(string path)
        {
            string symbols = path + ".mdb";
            return File.Exists(symbols) ? Assembly.Load(File.ReadAllBytes(path), File.ReadAllBytes(symbols)) : Assembly.Load(File.ReadAllBytes(path));
        }

        /// <summary>Where a program of a namespace begins.</summary>
        static MethodInfo MainIn(string path, string place)
        {
            if (!Begun.Add(path + " " + place) || !Shared.ContainsKey(path)) Shared[path] = Load(path);
            foreach (Type type in Shared[path].GetTypes())
            {
                if (type.Namespace != place && (type.Namespace == null || !type.Namespace.StartsWith(place + ".", StringComparison.Ordinal))) continue;
                foreach (MethodInfo method in type.GetMethods(BindingFlags.Static | BindingFlags.Public | BindingFlags.NonPublic | BindingFlags.DeclaredOnly))
                {
                    ParameterInfo[] given = method.GetParameters();
                    if (method.Name == "Main" && (given.Length == 0 || given.Length == 1 && given[0].ParameterType == typeof(string[]))) return method;
                }
            }
            throw new EntryPointNotFoundException(place);
        }

        static int One(string path, string place)
        {
            Console.SetIn(new StreamReader(Console.OpenStandardInput(), Plain, false));
            Console.SetOut(new StreamWriter(Console.OpenStandardOutput(), Plain) { AutoFlush = true });
            Console.SetError(new StreamWriter(Console.OpenStandardError(), Plain) { AutoFlush = true });
            int exit = 0;
            var thread = new Thread(() =>
            {
                try
                {
                    MethodInfo main = place == null ? Load(path).EntryPoint : MainIn(path, place);
                    object[] given = main.GetParameters().Length == 0 ? new object[0] : new object[] { new string[0] };
                    object told = main.Invoke(null, given);
                    exit = told is int ? (int)told & 255 : 0;
                }
                catch (TargetInvocationException problem)
                {
                    exit = 1;
                    Tell(problem.InnerException);
                }
                catch (Exception problem)
                {
                    exit = 1;
                    Tell(problem);
                }
            }, 8 << 20);
            thread.Start();
            thread.Join();
            Console.Out.Flush();
            Console.Error.Flush();
            return exit;
        }

        /// <summary>As the run-time system tells it; the calls below Main are this starter's.</summary>
        static void Tell(Exception problem)
        {
            var words = new StringBuilder();
            foreach (string line in problem.ToString().Split('\n'))
                if (!line.Contains("(wrapper managed-to-native)") && !line.Contains(" System.Reflection.") && !line.Contains(" BentNail.Many")) words.Append('\n').Append(line);
            Console.Error.Write("\nUnhandled Exception:" + words + "\n[ERROR] FATAL UNHANDLED EXCEPTION: " + words.ToString(1, words.Length - 1) + "\n");
        }
    }
}
