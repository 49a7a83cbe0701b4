using System;
using System.Collections.Generic;
using System.IO;
using System.Reflection;
using System.Text;

namespace BentNail
{
    /// <summary>
    /// The C# translator, kept running. Reads framed requests from standard input and answers on standard output, each as u32 length of a head,
    /// the head, u32 length of a body, the body (little endian). Request head: JSON list ["translate" | "record", name, size, ...]; body: the
    /// files. Answer head: JSON {ok, main, text, classes: [[name, size]]}; body: what the translator said, then the files that it made.
    /// Behind "together" every file is a program of its own (Together); the answer's head is {many: [...]} then.
    /// Nothing of the program is run here.
    /// </summary>
    public static class Translator
    {
        public const string Folder = "/tmp/case";
        const string Basic = "-r:/runner/built/basic.dll";
        static MethodInfo compiler;

        public static int Main(string[] given)
        {
            if (given.Length == 2 && given[0] == "many") return Many.Run(given[1]);
            Stream input = Console.OpenStandardInput();
            Stream output = Console.OpenStandardOutput();
            Console.SetOut(Console.Error);
            compiler = Assembly.LoadFrom("/usr/lib/mono/4.5/mcs.exe").GetType("Mono.CSharp.CompilerCallableEntryPoint").GetMethod("InvokeCompiler");
            Answer(output, "{\"ready\":true,\"version\":\"Mono\"}", new byte[0]);
            while (true)
            {
                byte[] head = Frame(input);
                if (head == null) return 0;
                // After a failure of its own the translator ends, so that a fresh one takes its place.
                if (!Serve(Strings(Encoding.UTF8.GetString(head)), Frame(input), output)) return 0;
            }
        }

        static byte[] Exactly(Stream input, int size)
        {
            var data = new byte[size];
            for (int at = 0; at < size;)
            {
                int read = input.Read(data, at, size - at);
                if (read <= 0) return null;
                at += read;
            }
            return data;
        }

        static byte[] Frame(Stream input)
        {
            byte[] size = Exactly(input, 4);
            return size == null ? null : Exactly(input, BitConverter.ToInt32(size, 0));
        }

        static void Answer(Stream output, string head, byte[] body)
        {
            byte[] headBytes = Encoding.UTF8.GetBytes(head);
            output.Write(BitConverter.GetBytes(headBytes.Length), 0, 4);
            output.Write(headBytes, 0, headBytes.Length);
            output.Write(BitConverter.GetBytes(body.Length), 0, 4);
            output.Write(body, 0, body.Length);
            output.Flush();
        }

        static bool Serve(List<string> head, byte[] body, Stream output)
        {
            bool record = head[0] == "record";
            if (Directory.Exists(Folder)) Directory.Delete(Folder, true);
            Directory.CreateDirectory(Folder);
            Directory.SetCurrentDirectory(Folder);
            if (head[0] == "together") return ServeTogether(head, body, output);
            var names = new List<string>();
            var arguments = new List<string> { "-debug", "-warn:4", "-nologo", "-out:/tmp/case/.made.exe" };
            int at = 0;
            for (int index = 1; index + 1 < head.Count; index += 2)
            {
                int size = int.Parse(head[index + 1]);
                var data = new byte[size];
                Array.Copy(body, at, data, 0, size);
                at += size;
                string name = head[index];
                string path = Path.GetFullPath(Path.Combine(Folder, name));
                if (!path.StartsWith(Folder + "/", StringComparison.Ordinal)) continue;
                Directory.CreateDirectory(Path.GetDirectoryName(path));
                File.WriteAllBytes(path, data);
                names.Add(name);
                if (name.EndsWith(".cs", StringComparison.Ordinal)) arguments.Add("./" + name);
                // A text that was written of one in typed Basic has its library beside it.
                if (name.EndsWith(".vb.cs", StringComparison.Ordinal) && !arguments.Contains(Basic)) arguments.AddRange(new[] { Basic, "-r:Microsoft.CSharp.dll", "-main:__BentNailStart" });
            }
            var said = new StringWriter();
            bool ok;
            bool sound = true;
            try
            {
                ok = (bool)compiler.Invoke(null, new object[] { arguments.ToArray(), said });
                if (ok && record)
                {
                    var words = new List<string> { "/tmp/case/.made.exe", "/tmp/case/.recorded.exe" };
                    words.AddRange(names);
                    Instrument.Rewrite(words.ToArray());
                }
            }
            catch (Exception problem)
            {
                ok = false;
                sound = false;
                said.WriteLine("error CS0000: the translator gave up: " + (problem.InnerException ?? problem).Message);
            }
            string made = record ? "/tmp/case/.recorded.exe" : "/tmp/case/.made.exe";
            byte[] text = Encoding.UTF8.GetBytes(said.ToString());
            byte[] program = ok ? File.ReadAllBytes(made) : new byte[0];
            byte[] symbols = ok ? File.ReadAllBytes(made + ".mdb") : new byte[0];
            var all = new byte[text.Length + program.Length + symbols.Length];
            text.CopyTo(all, 0);
            program.CopyTo(all, text.Length);
            symbols.CopyTo(all, text.Length + program.Length);
            string classes = ok ? "[\"program.exe\"," + program.Length + "],[\"program.exe.mdb\"," + symbols.Length + "]" : "";
            Answer(output, "{\"ok\":" + (ok ? "true" : "false") + ",\"main\":\"\",\"text\":" + text.Length + ",\"classes\":[" + classes + "]}", all);
            return sound;
        }

        static bool ServeTogether(List<string> head, byte[] body, Stream output)
        {
            var together = new Together();
            int at = 0;
            for (int index = 1; index + 1 < head.Count; index += 2)
            {
                var data = new byte[int.Parse(head[index + 1])];
                Array.Copy(body, at, data, 0, data.Length);
                at += data.Length;
                together.Add(head[index], data);
            }
            var made = new MemoryStream();
            try
            {
                string heads = together.Translate(Folder, (arguments, said) => (bool)compiler.Invoke(null, new object[] { arguments, said }), made);
                Answer(output, heads, made.ToArray());
                return true;
            }
            catch (Exception)
            {
                Answer(output, "{\"many\":[]}", new byte[0]);
                return false;
            }
        }

        /// <summary>Reads a JSON list of texts.</summary>
        static List<string> Strings(string json)
        {
            var found = new List<string>();
            for (int at = 0; at < json.Length; at++)
            {
                if (json[at] != '"') continue;
                var text = new StringBuilder();
                for (at++; json[at] != '"'; at++)
                {
                    if (json[at] != '\\') text.Append(json[at]);
                    else if (json[++at] == 'u')
                    {
                        text.Append((char)Convert.ToInt32(json.Substring(at + 1, 4), 16));
                        at += 4;
                    }
                    else text.Append(json[at] == 'n' ? '\n' : json[at] == 't' ? '\t' : json[at] == 'r' ? '\r' : json[at]);
                }
                found.Add(text.ToString());
            }
            return found;
        }
    }
}
