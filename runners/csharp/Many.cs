using System;
using System.Globalization;
using System.IO;
using System.Reflection;
using System.Text;
using System.Threading;

namespace BentNail
{
    /// <summary>
    /// Runs many programs one after another in one run-time system, each from an assembly of its own: many LIST. The list holds the path of each.
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
                int exit = One(list[int.Parse(order)]);
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

        static int One(string path)
        {
            Console.SetIn(new StreamReader(Console.OpenStandardInput(), Plain, false));
            Console.SetOut(new StreamWriter(Console.OpenStandardOutput(), Plain) { AutoFlush = true });
            Console.SetError(new StreamWriter(Console.OpenStandardError(), Plain) { AutoFlush = true });
            int exit = 0;
            var thread = new Thread(() =>
            {
                try
                {
                    string symbols = path + ".mdb";
                    Assembly program = File.Exists(symbols) ? Assembly.Load(File.ReadAllBytes(path), File.ReadAllBytes(symbols)) : Assembly.Load(File.ReadAllBytes(path));
                    MethodInfo main = program.EntryPoint;
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
