using System;
using System.Collections.Generic;
using System.IO;
using System.Linq;
using System.Text;
using System.Text.RegularExpressions;
using Mono.Cecil;

namespace BentNail
{
    /// <summary>
    /// Translates many programs of one file each in one go, so that what they have in common is read once: each in a namespace of its own, whose
    /// name is the folder of its file ("bn3_/ferry.cs"). One that is refused keeps none of the others from being translated. All that are taken
    /// are one assembly, which is run by Many.
    /// </summary>
    sealed class Together
    {
        /// <summary>Goes at most: what stands in the way of an earlier step of the translator hides what a later one would say.</summary>
        const int Rounds = 8;
        static readonly Regex Placed = new Regex(@"^(?:[^(\n]*/)?(?<folder>bn\d+_)/[^(\n]*\(\d+,\d+\+?\): (?<kind>error|warning) ");

        sealed class Text
        {
            public string Folder, Name, Source;
            public readonly StringBuilder Said = new StringBuilder();
            public bool Refused;
        }

        readonly List<Text> programs = new List<Text>();

        public void Add(string path, byte[] bytes)
        {
            int slash = path.IndexOf('/');
            string folder = path.Substring(0, slash), name = path.Substring(slash + 1);
            // Lines and columns are the text's own.
            string text = Encoding.UTF8.GetString(bytes).TrimStart('\uFEFF');
            if (!text.EndsWith("\n", StringComparison.Ordinal)) text += "\n";
            // What closes the namespace stands on the text's last line, where the end of a text alone would be missed, too.
            string source = "namespace " + folder + " {\n#line 1 \"" + path + "\"\n" + text + "#line " + text.Count(sign => sign == '\n') + "\n}\n";
            programs.Add(new Text { Folder = folder, Name = name, Source = source });
        }

        /// <summary>
        /// `compile` translates with arguments, and is true where all was taken. Gives the answer's head, and puts what was said
        /// and made into `body`, the assembly with the first that is taken.
        /// </summary>
        public string Translate(string folder, Func<string[], TextWriter, bool> compile, Stream body)
        {
            string made = Path.Combine(folder, ".made.dll");
            var left = new List<Text>(programs);
            bool done = false;
            for (int round = 0; round < Rounds && !done && left.Count > 0; round++)
            {
                var arguments = new List<string> { "-debug", "-warn:4", "-nologo", "-target:library", "-out:" + made };
                foreach (Text each in left)
                {
                    each.Said.Clear();
                    string path = Path.Combine(folder, each.Folder + ".cs");
                    File.WriteAllText(path, each.Source, new UTF8Encoding(false));
                    arguments.Add(path);
                }
                var said = new StringWriter();
                done = compile(arguments.ToArray(), said);
                Share(left, said.ToString());
                if (!done && left.RemoveAll(each => each.Refused) == 0) break;
            }
            var mains = done ? Mains(made) : new Dictionary<string, int>();
            var heads = new List<string>();
            bool first = true;
            foreach (Text each in programs)
            {
                int count;
                // One without a beginning, or with several, is translated alone, where the translator says so.
                bool taken = !each.Refused && mains.TryGetValue(each.Folder, out count) && count == 1;
                if (!taken && !each.Refused)
                {
                    heads.Add("null");
                    continue;
                }
                byte[] said = Encoding.UTF8.GetBytes(Own(each));
                body.Write(said, 0, said.Length);
                var files = new List<string>();
                foreach (string file in taken && first ? new[] { made, made + ".mdb" } : new string[0])
                {
                    byte[] data = File.ReadAllBytes(file);
                    body.Write(data, 0, data.Length);
                    files.Add("[\"../together.exe" + (file.EndsWith(".mdb", StringComparison.Ordinal) ? ".mdb" : "") + "\"," + data.Length + "]");
                }
                first &= !taken;
                heads.Add("{\"ok\":" + (taken ? "true" : "false") + ",\"main\":\"" + (taken ? each.Folder : "") + "\",\"text\":" + said.Length + ",\"classes\":[" + string.Join(",", files) + "]}");
            }
            return "{\"many\":[" + string.Join(",", heads) + "]}";
        }

        /// <summary>Shares out what was said to the texts that it is about.</summary>
        static void Share(List<Text> texts, string said)
        {
            Text now = null;
            foreach (string line in said.Split('\n'))
            {
                Match place = Placed.Match(line);
                if (place.Success)
                {
                    now = texts.Find(each => each.Folder == place.Groups["folder"].Value);
                    if (now != null && place.Groups["kind"].Value == "error") now.Refused = true;
                }
                if (now != null && line.Trim() != "") now.Said.Append(line).Append('\n');
            }
        }

        static string Own(Text text)
        {
            string place = text.Folder + "/";
            return text.Said.ToString().Replace(Translator.Folder + "/" + place, place).Replace("./" + place, place).Replace(place, "./").Replace(text.Folder + ".", "");
        }

        /// <summary>How many beginnings there are in each namespace.</summary>
        static Dictionary<string, int> Mains(string path)
        {
            var found = new Dictionary<string, int>();
            using (ModuleDefinition module = ModuleDefinition.ReadModule(path))
                foreach (TypeDefinition type in module.GetTypes())
                {
                    TypeDefinition outer = type;
                    while (outer.DeclaringType != null) outer = outer.DeclaringType;
                    string folder = outer.Namespace.Split('.')[0];
                    int count;
                    found.TryGetValue(folder, out count);
                    found[folder] = count + type.Methods.Count(IsMain);
                }
            return found;
        }

        static bool IsMain(MethodDefinition method)
        {
            if (method.Name != "Main" || !method.IsStatic || method.HasGenericParameters) return false;
            if (method.ReturnType.FullName != "System.Void" && method.ReturnType.FullName != "System.Int32") return false;
            return method.Parameters.Count == 0 || method.Parameters.Count == 1 && method.Parameters[0].ParameterType.FullName == "System.String[]";
        }
    }
}
