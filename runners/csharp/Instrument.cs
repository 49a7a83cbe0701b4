using System;
using System.Collections.Generic;
using System.IO;
using System.Linq;
using System.Text.RegularExpressions;
using Mono.Cecil;
using Mono.Cecil.Cil;
using Mono.CompilerServices.SymbolWriter;

namespace BentNail
{
    /// <summary>
    /// Puts calls of the Recorder into a translated program: at every line, after every store into a variable, field or element, at the entry
    /// and at every return of a method. `Rewrite` takes PROGRAM.exe RESULT.exe FILE... (the case's files in order). Debug information is
    /// carried over, so lines in messages stay as they were.
    /// </summary>
    public static class Instrument
    {
        /// <summary>What is below in a file was written by us: no step is made of it.</summary>
        const string NobodysLines = "#line hidden";

        static ModuleDefinition module;
        static MethodReference enter, line, local, global, field, element, returned, caught, through, ended, top;
        static List<string> files;
        static readonly List<string[]> Texts = new List<string[]>();
        static bool severalClasses;
        /// <summary>True for programs in typed Basic, which call their object by another word.</summary>
        static bool basic;

        sealed class Point
        {
            public Instruction At;
            public int Offset;
            public int Line;
            public int Column;
            public bool Hidden;
        }

        sealed class Work
        {
            public MethodDefinition Method;
            public string File;
            public List<Point> Points = new List<Point>();
            public LocalVariableEntry[] Locals;
            public CodeBlockEntry[] Blocks;
        }

        public static void Rewrite(string[] arguments)
        {
            Texts.Clear();
            files = arguments.Skip(2).ToList();
            basic = files.Any(file => file.EndsWith(".vb.cs", StringComparison.Ordinal));
            foreach (string file in files) Texts.Add(File.ReadAllText(file).Split(new[] { "\r\n", "\n", "\r" }, StringSplitOptions.None).Select(WithoutComment).TakeWhile(each => each != NobodysLines).ToArray());
            module = ModuleDefinition.ReadModule(arguments[0], new ReaderParameters { ReadingMode = ReadingMode.Immediate });
            Type recorder = typeof(Recorder);
            enter = module.ImportReference(recorder.GetMethod("Enter"));
            line = module.ImportReference(recorder.GetMethod("Line"));
            local = module.ImportReference(recorder.GetMethod("Local"));
            global = module.ImportReference(recorder.GetMethod("Global"));
            field = module.ImportReference(recorder.GetMethod("Field"));
            element = module.ImportReference(recorder.GetMethod("Element"));
            returned = module.ImportReference(recorder.GetMethod("Returned"));
            caught = module.ImportReference(recorder.GetMethod("Caught"));
            through = module.ImportReference(recorder.GetMethod("Through"));
            ended = module.ImportReference(recorder.GetMethod("Ended"));
            top = module.ImportReference(recorder.GetMethod("Top"));
            severalClasses = module.Types.Count(type => type.Name != "<Module>") > 1;
            MonoSymbolFile symbols = MonoSymbolFile.ReadSymbolFile(arguments[0] + ".mdb");
            var all = new List<Work>();
            foreach (MethodEntry entry in symbols.Methods)
            {
                var method = module.LookupToken(entry.Token) as MethodDefinition;
                if (method == null || !method.HasBody || IsMade(method)) continue;
                var work = new Work { Method = method, File = Path.GetFileName(entry.CompileUnit.SourceFile.FileName), Locals = entry.GetLocals(), Blocks = entry.GetCodeBlocks() };
                var byOffset = method.Body.Instructions.ToDictionary(each => each.Offset);
                foreach (LineNumberEntry row in entry.GetLineNumberTable().LineNumbers)
                {
                    Instruction at;
                    if (byOffset.TryGetValue(row.Offset, out at)) work.Points.Add(new Point { At = at, Offset = row.Offset, Line = row.Row, Column = row.Column, Hidden = row.IsHidden || row.Row >= 0xf00000 });
                }
                all.Add(work);
            }
            foreach (Work work in all) Rewrite(work);
            foreach (MethodDefinition method in module.GetTypes().SelectMany(type => type.Methods).Where(method => method.IsSetter && method.HasBody && IsMade(method))) RewriteMade(method);
            module.Write(arguments[1]);
            WriteSymbols(arguments[1], all);
        }

        /// <summary>A line up to its comment. A comment begins behind an even number of quotation marks.</summary>
        static string WithoutComment(string text)
        {
            for (int at = text.IndexOf("//", StringComparison.Ordinal); at >= 0; at = text.IndexOf("//", at + 1, StringComparison.Ordinal))
                if (text.Substring(0, at).Count(each => each == '"') % 2 == 0) return text.Substring(0, at);
            return text;
        }

        static void WriteSymbols(string path, List<Work> all)
        {
            var writer = new MonoSymbolWriter(path);
            var documents = new Dictionary<string, SourceFileEntry>();
            var units = new Dictionary<string, CompileUnitEntry>();
            foreach (Work work in all)
            {
                if (!documents.ContainsKey(work.File))
                {
                    documents[work.File] = writer.DefineDocument(work.File);
                    units[work.File] = writer.DefineCompilationUnit(documents[work.File]);
                }
                writer.OpenMethod(units[work.File], 0, new Named { Name = work.Method.Name, Token = work.Method.MetadataToken.ToInt32() });
                foreach (Point point in work.Points) writer.MarkSequencePoint(point.At.Offset, units[work.File].SourceFile, point.Line, point.Column, point.Hidden);
                writer.CloseMethod();
            }
            writer.WriteSymbolFile(module.Mvid);
        }

        sealed class Named : IMethodDef
        {
            public string Name { get; set; }
            public int Token { get; set; }
        }

        static readonly Dictionary<OpCode, OpCode> LongForms = typeof(OpCodes).GetFields()
            .Where(each => each.Name.EndsWith("_S", StringComparison.Ordinal))
            .Select(each => new { Short = (OpCode)each.GetValue(null), Long = typeof(OpCodes).GetField(each.Name.Substring(0, each.Name.Length - 2)) })
            .Where(each => each.Long != null && each.Short.OperandType == OperandType.ShortInlineBrTarget)
            .ToDictionary(each => each.Short, each => (OpCode)each.Long.GetValue(null));

        /// <summary>A type's name as it is written; one with parameters has their number behind a sign in its own.</summary>
        static string NameOf(TypeReference type) { return Regex.Replace(type.Name, "`\\d+$", ""); }

        static string ShownName(MethodDefinition method)
        {
            if (method.Name == ".ctor") return NameOf(method.DeclaringType);
            if (method.Name == ".cctor") return "static";
            Match made = Regex.Match(method.DeclaringType.Name, "^<(\\w+)>c__Iterator");
            if (made.Success) return made.Groups[1].Value;
            if (method.IsGetter) return method.Name.Substring(4);
            if (method.IsSetter) return method.Name.Substring(4) + " (set)";
            return method.Name.StartsWith("<", StringComparison.Ordinal) ? "lambda" : method.Name;
        }

        /// <summary>True for a property's way in or out that the translator has written.</summary>
        static bool IsMade(MethodDefinition method)
        {
            return (method.IsGetter || method.IsSetter) && method.CustomAttributes.Any(each => each.AttributeType.Name == "CompilerGeneratedAttribute");
        }

        /// <summary>The line on which a constructor is written, by the lines that belong to it; 0 if it is written nowhere.</summary>
        static int ConstructorLine(MethodDefinition method, int file, IEnumerable<int> lines)
        {
            var pattern = new Regex("(?<![.\\w])" + Regex.Escape(NameOf(method.DeclaringType)) + "\\s*\\(");
            foreach (int first in lines.Distinct().OrderByDescending(each => each))
                for (int at = Math.Min(first, Texts[file].Length); at > 0; at--)
                {
                    if (Regex.IsMatch(Texts[file][at - 1], "\\b(class|struct)\\s+" + Regex.Escape(NameOf(method.DeclaringType)) + "\\b")) break;
                    if (pattern.IsMatch(Texts[file][at - 1]) && !Regex.IsMatch(Texts[file][at - 1], "\\bnew\\s+" + Regex.Escape(NameOf(method.DeclaringType)))) return at;
                }
            return 0;
        }

        static int HeaderLine(MethodDefinition method, int file, int first)
        {
            string name = method.Name == ".ctor" ? NameOf(method.DeclaringType) : method.Name;
            if (name.StartsWith("<", StringComparison.Ordinal) || name == ".cctor") return first;
            name = Regex.Replace(name, "^(get_|set_)", "");
            var pattern = new Regex("(?<![.\\w])" + Regex.Escape(name) + "\\s*(<[^>]*>)?\\s*(\\(|\\{|$)");
            for (int at = Math.Min(first, Texts[file].Length); at > 0; at--)
                if (pattern.IsMatch(Texts[file][at - 1]) && !Texts[file][at - 1].Contains("new " + name)) return at;
            return first;
        }

        static bool OnlyBrace(int file, int number)
        {
            return number <= Texts[file].Length && Regex.IsMatch(Texts[file][number - 1].Trim(), "^[{}]+;?\\s*(//.*)?$");
        }

        /// <summary>The line of the catch whose block begins on or after the given line's code.</summary>
        static int CatchLine(int file, int first)
        {
            for (int at = Math.Min(first, Texts[file].Length); at > 0 && at > first - 6; at--) if (Regex.IsMatch(Texts[file][at - 1], "\\bcatch\\b")) return at;
            return first;
        }

        /// <summary>The braces of a method are places of their own; nothing happens there.</summary>
        static bool AtBrace(int file, Point point)
        {
            if (point.Line > Texts[file].Length || point.Column < 1) return false;
            string text = Texts[file][point.Line - 1];
            return point.Column <= text.Length && (text[point.Column - 1] == '{' || text[point.Column - 1] == '}');
        }

        /// <summary>Lines on which nothing is done but what stands for itself: a catch has its row when something is caught.</summary>
        static bool OnlyLeadsOn(int file, int number)
        {
            return number <= Texts[file].Length && Regex.IsMatch(Texts[file][number - 1], "^\\s*\\}?\\s*(catch\\b|finally\\b|else\\s*\\{?\\s*$)");
        }

        /// <summary>A foreach whose body stands on other lines: all places of its line are one step.</summary>
        static bool IsForeachHeader(int file, int number)
        {
            return number <= Texts[file].Length && Regex.IsMatch(Texts[file][number - 1], "^\\s*foreach\\s*\\((?:[^()]|\\([^()]*\\))*\\)\\s*\\{?\\s*$");
        }

        /// <summary>The line of the switch whose opening brace is at a point, since that is where its value is made ready; 0 elsewhere.</summary>
        static int SwitchLine(int file, Point point)
        {
            string text = point.Line <= Texts[file].Length ? Texts[file][point.Line - 1] : "";
            if (point.Column < 1 || point.Column > text.Length || text[point.Column - 1] != '{') return 0;
            int at = point.Line;
            string before = text.Substring(0, point.Column - 1);
            while (before.Trim() == "" && at > 1) before = Texts[file][--at - 1];
            return Regex.IsMatch(before, "\\bswitch\\s*\\(") ? at : 0;
        }

        /// <summary>Puts instructions before one, in such a way that jumps to it come to them first. Returns the instruction's new object.</summary>
        static Instruction Before(MethodBody body, Instruction at, params Instruction[] added)
        {
            Instruction copy = Instruction.Create(OpCodes.Nop);
            copy.OpCode = at.OpCode;
            copy.Operand = at.Operand;
            int index = body.Instructions.IndexOf(at);
            at.OpCode = added[0].OpCode;
            at.Operand = added[0].Operand;
            for (int next = 1; next < added.Length; next++) body.Instructions.Insert(index + next, added[next]);
            body.Instructions.Insert(index + added.Length, copy);
            return copy;
        }

        static void After(MethodBody body, Instruction at, IEnumerable<Instruction> added)
        {
            int index = body.Instructions.IndexOf(at) + 1;
            foreach (Instruction each in added) body.Instructions.Insert(index++, each);
        }

        /// <summary>A property's way in that the translator wrote: what it stores is told by the line that uses it.</summary>
        static void RewriteMade(MethodDefinition method)
        {
            MethodBody body = method.Body;
            body.InitLocals = true;
            var frame = new VariableDefinition(module.TypeSystem.Int32);
            body.Variables.Add(frame);
            foreach (Instruction each in body.Instructions.ToArray()) Store(body, each, frame, new Dictionary<int, string>());
            body.Instructions.Insert(0, Instruction.Create(OpCodes.Call, top));
            body.Instructions.Insert(1, Instruction.Create(OpCodes.Stloc, frame));
        }

        static void Rewrite(Work work)
        {
            MethodDefinition method = work.Method;
            MethodBody body = method.Body;
            int file = files.FindIndex(each => Path.GetFileName(each) == work.File);
            if (file >= 0) work.Points.RemoveAll(point => point.Line > Texts[file].Length);
            List<Point> shown = work.Points.Where(point => !point.Hidden).ToList();
            if (file < 0 || shown.Count == 0) return;
            int header = method.Name == ".ctor" ? ConstructorLine(method, file, shown.Select(point => point.Line)) : 0;
            if (header == 0) header = HeaderLine(method, file, shown[0].Line);
            foreach (Instruction each in body.Instructions)
            {
                OpCode longer;
                if (LongForms.TryGetValue(each.OpCode, out longer)) each.OpCode = longer;
            }
            body.InitLocals = true;
            var frame = new VariableDefinition(module.TypeSystem.Int32);
            body.Variables.Add(frame);
            var names = new Dictionary<int, string>();
            foreach (LocalVariableEntry each in work.Locals)
                if (!Regex.IsMatch(each.Name, "^[$<]|\\$|^__bn")) names[each.Index] = each.Name;
            var byOffset = body.Instructions.ToDictionary(each => each.Offset);

            // Stores first: the instructions they follow keep their objects.
            foreach (Instruction each in body.Instructions.ToArray()) Store(body, each, frame, names);
            foreach (Instruction each in body.Instructions.ToArray())
            {
                if (each.OpCode != OpCodes.Ret) continue;
                bool something = method.ReturnType.FullName != "System.Void" && !method.ReturnType.IsByReference;
                if (something)
                {
                    var result = new VariableDefinition(method.ReturnType);
                    body.Variables.Add(result);
                    var added = new List<Instruction> { Instruction.Create(OpCodes.Stloc, result), Instruction.Create(OpCodes.Ldloc, frame), Instruction.Create(OpCodes.Ldloc, result) };
                    added.AddRange(Box(method.ReturnType));
                    added.Add(Instruction.Create(OpCodes.Ldc_I4_1));
                    added.Add(Instruction.Create(OpCodes.Call, returned));
                    added.Add(Instruction.Create(OpCodes.Ldloc, result));
                    Before(body, each, added.ToArray());
                }
                else
                    Before(body, each, Instruction.Create(OpCodes.Ldloc, frame), Instruction.Create(OpCodes.Ldnull), Instruction.Create(OpCodes.Ldc_I4_0), Instruction.Create(OpCodes.Call, returned));
            }
            foreach (ExceptionHandler handler in body.ExceptionHandlers.ToArray())
            {
                if (handler.HandlerType != ExceptionHandlerType.Catch) continue;
                Instruction start = handler.HandlerStart;
                int catchLine = CatchLine(file, shown.Where(point => point.Offset >= start.Offset).Select(point => point.Line).DefaultIfEmpty(shown[0].Line).First());
                Before(body, start, Instruction.Create(OpCodes.Dup), Instruction.Create(OpCodes.Ldloc, frame), Instruction.Create(OpCodes.Ldc_I4, catchLine), Instruction.Create(OpCodes.Call, caught));
            }
            var starts = new HashSet<Instruction>(body.ExceptionHandlers.Where(handler => handler.HandlerType == ExceptionHandlerType.Catch).Select(handler => handler.HandlerStart));
            List<ExceptionHandler> finals = body.ExceptionHandlers.Where(handler => handler.HandlerType == ExceptionHandlerType.Finally).ToList();
            foreach (Point point in shown)
            {
                // A foreach that is left puts its work away: nothing that anybody wrote.
                if (IsForeachHeader(file, point.Line) && finals.Any(handler => handler.HandlerStart.Offset <= point.Offset && (handler.HandlerEnd == null || point.Offset < handler.HandlerEnd.Offset))) continue;
                int number = SwitchLine(file, point);
                if (number == 0 && (OnlyBrace(file, point.Line) || AtBrace(file, point) || OnlyLeadsOn(file, point.Line))) continue;
                if (number == 0) number = point.Line;
                // What a constructor does on its own line is to call its parent's.
                if (method.Name == ".ctor" && point.Line == header && !Regex.IsMatch(Texts[file][header - 1], "\\{.*;")) continue;
                Instruction at = point.At;
                // A handler begins by taking note of what it caught; its line comes after that.
                if (starts.Contains(at)) at = body.Instructions[body.Instructions.IndexOf(at) + 4];
                while (at.Previous != null && at.Previous.OpCode.OpCodeType == OpCodeType.Prefix) at = at.Previous;
                Before(body, at, Instruction.Create(OpCodes.Ldloc, frame), Instruction.Create(OpCodes.Ldc_I4, number), Instruction.Create(OpCodes.Ldc_I4, IsForeachHeader(file, point.Line) ? -1 : point.Offset), Instruction.Create(OpCodes.Call, line));
            }
            foreach (LocalVariableEntry each in work.Locals) Ended(work, body, frame, names, each, byOffset);
            Entry(work, body, frame, file, header);
        }

        /// <summary>Says where the scope of a variable that can hold an object ends: what becomes of the object later is not the variable's any more.</summary>
        static void Ended(Work work, MethodBody body, VariableDefinition frame, Dictionary<int, string> names, LocalVariableEntry variable, Dictionary<int, Instruction> byOffset)
        {
            string name;
            Instruction at;
            CodeBlockEntry block = work.Blocks.FirstOrDefault(each => each.Index == variable.BlockIndex - 1);
            if (block == null || !names.TryGetValue(variable.Index, out name) || variable.Index >= body.Variables.Count || body.Variables[variable.Index].VariableType.IsPrimitive) return;
            if (!byOffset.TryGetValue(block.EndOffset, out at) || at.OpCode == OpCodes.Ret || !body.Instructions.Contains(at)) return;
            if (at.Previous != null && at.Previous.OpCode.OpCodeType == OpCodeType.Prefix) return;
            Before(body, at, Instruction.Create(OpCodes.Ldloc, frame), Instruction.Create(OpCodes.Ldstr, name), Instruction.Create(OpCodes.Call, ended));
        }

        static void Entry(Work work, MethodBody body, VariableDefinition frame, int file, int header)
        {
            MethodDefinition method = work.Method;
            var added = new List<Instruction>
            {
                Instruction.Create(OpCodes.Ldc_I4, file),
                Instruction.Create(OpCodes.Ldc_I4, header),
                Instruction.Create(OpCodes.Ldstr, ShownName(method)),
                Instruction.Create(OpCodes.Call, enter),
                Instruction.Create(OpCodes.Stloc, frame),
            };
            bool plain = method.Name != ".cctor" && !method.DeclaringType.Name.StartsWith("<", StringComparison.Ordinal) && !method.Name.StartsWith("<", StringComparison.Ordinal);
            if (method.HasThis && plain && !method.DeclaringType.IsValueType)
                added.AddRange(new[] { Instruction.Create(OpCodes.Ldloc, frame), Instruction.Create(OpCodes.Ldarg, body.ThisParameter), Instruction.Create(OpCodes.Ldstr, basic ? "Me" : "this"), Instruction.Create(OpCodes.Call, local) });
            // What every routine of a form is handed says nothing of the program.
            bool answers = basic && method.Parameters.Count == 2 && method.Parameters[1].ParameterType.FullName == "System.EventArgs";
            foreach (ParameterDefinition parameter in method.Parameters)
                if (!answers && !parameter.IsOut && !(method.Name == "Main" && parameter.ParameterType.IsArray)) added.AddRange(Report(frame, Instruction.Create(OpCodes.Ldarg, parameter), parameter.ParameterType, parameter.Name));
            for (int at = 0; at < added.Count; at++) body.Instructions.Insert(at, added[at]);
        }

        /// <summary>Loads a variable, boxes it and tells the recorder.</summary>
        static IEnumerable<Instruction> Report(VariableDefinition frame, Instruction load, TypeReference type, string name)
        {
            var byReference = type as ByReferenceType;
            TypeReference kind = byReference != null ? byReference.ElementType : type;
            if (kind.IsPointer) yield break;
            yield return Instruction.Create(OpCodes.Ldloc, frame);
            yield return load;
            if (byReference != null) yield return Instruction.Create(OpCodes.Ldobj, kind);
            foreach (Instruction each in Box(kind)) yield return each;
            yield return Instruction.Create(OpCodes.Ldstr, name);
            yield return Instruction.Create(OpCodes.Call, local);
        }

        static IEnumerable<Instruction> Box(TypeReference type)
        {
            if (type.IsValueType || type.IsGenericParameter) yield return Instruction.Create(OpCodes.Box, type);
        }

        static VariableDefinition VariableOf(MethodBody body, Instruction each)
        {
            if (each.OpCode == OpCodes.Stloc_0 || each.OpCode == OpCodes.Ldloc_0) return body.Variables[0];
            if (each.OpCode == OpCodes.Stloc_1 || each.OpCode == OpCodes.Ldloc_1) return body.Variables[1];
            if (each.OpCode == OpCodes.Stloc_2 || each.OpCode == OpCodes.Ldloc_2) return body.Variables[2];
            if (each.OpCode == OpCodes.Stloc_3 || each.OpCode == OpCodes.Ldloc_3) return body.Variables[3];
            return each.Operand as VariableDefinition;
        }

        static void Store(MethodBody body, Instruction each, VariableDefinition frame, Dictionary<int, string> names)
        {
            Code code = each.OpCode.Code;
            string name;
            if ((code >= Code.Stloc_0 && code <= Code.Stloc_3) || code == Code.Stloc_S || code == Code.Stloc)
            {
                VariableDefinition variable = VariableOf(body, each);
                if (names.TryGetValue(variable.Index, out name)) After(body, each, Report(frame, Instruction.Create(OpCodes.Ldloc, variable), variable.VariableType, name));
            }
            else if (code == Code.Starg || code == Code.Starg_S)
            {
                var parameter = (ParameterDefinition)each.Operand;
                After(body, each, Report(frame, Instruction.Create(OpCodes.Ldarg, parameter), parameter.ParameterType, parameter.Name));
            }
            else if (code == Code.Call || code == Code.Callvirt || code == Code.Newobj || code == Code.Stfld || code == Code.Initobj)
            {
                if (code == Code.Stfld) StoreField(body, each, frame);
                ByAddress(body, each, frame, names);
                if (GoesThrough(each)) After(body, each, Through(frame));
            }
            else if (code == Code.Stsfld)
            {
                var target = (FieldReference)each.Operand;
                if (target.DeclaringType.Name.StartsWith("<", StringComparison.Ordinal) || target.Name.StartsWith("<>", StringComparison.Ordinal)) return;
                var added = new List<Instruction> { Instruction.Create(OpCodes.Ldloc, frame), Instruction.Create(OpCodes.Ldsfld, target) };
                added.AddRange(Box(target.FieldType));
                added.Add(Instruction.Create(OpCodes.Ldstr, (severalClasses ? target.DeclaringType.Name + "." : "") + Recorder.FieldName(target.Name)));
                added.Add(Instruction.Create(OpCodes.Call, global));
                After(body, each, added);
            }
            else if (code >= Code.Stelem_I && code <= Code.Stelem_Ref || code == Code.Stelem_Any) StoreElement(body, each, frame);
            else if (code >= Code.Stind_Ref && code <= Code.Stind_R8 || code == Code.Stobj)
            {
                ByReference(body, each, frame);
                After(body, each, Through(frame));
            }
        }

        /// <summary>True for what may change an element or a field in a way that is not followed: by its address, or by a property that the translator wrote.</summary>
        static bool GoesThrough(Instruction each)
        {
            var target = each.Operand as FieldReference;
            if (target != null) return target.DeclaringType.IsValueType;
            var called = each.Operand as MethodReference;
            if (called == null) return each.OpCode == OpCodes.Initobj;
            if (called.DeclaringType is ArrayType) return called.Name == "Set";
            // The library may sort, fill or copy an array that it is given.
            if (called.DeclaringType.Scope == module) return false;
            return called.DeclaringType.FullName == "System.Array" || called.Parameters.Any(given => given.ParameterType.IsArray || given.ParameterType.FullName == "System.Array");
        }

        static Instruction[] Through(VariableDefinition frame)
        {
            return new[] { Instruction.Create(OpCodes.Ldloc, frame), Instruction.Create(OpCodes.Call, through) };
        }

        /// <summary>Variables whose addresses were put on the stack for a call may have got a value in it; they are told after it.</summary>
        static void ByAddress(MethodBody body, Instruction call, VariableDefinition frame, Dictionary<int, string> names)
        {
            var added = new List<Instruction>();
            for (Instruction back = call.Previous; back != null; back = back.Previous)
            {
                if (back.OpCode.FlowControl == FlowControl.Call || back.OpCode.FlowControl == FlowControl.Branch || back.OpCode.FlowControl == FlowControl.Cond_Branch) break;
                if (back.OpCode != OpCodes.Ldloca && back.OpCode != OpCodes.Ldloca_S) continue;
                var variable = (VariableDefinition)back.Operand;
                string name;
                if (names.TryGetValue(variable.Index, out name)) added.AddRange(Report(frame, Instruction.Create(OpCodes.Ldloc, variable), variable.VariableType, name));
            }
            if (added.Count > 0) After(body, call, added);
        }

        /// <summary>A store through ref or out parameters: all of them are told.</summary>
        static void ByReference(MethodBody body, Instruction each, VariableDefinition frame)
        {
            foreach (ParameterDefinition parameter in body.Method.Parameters)
                if (parameter.ParameterType.IsByReference) After(body, each, Report(frame, Instruction.Create(OpCodes.Ldarg, parameter), parameter.ParameterType, parameter.Name));
        }

        static void StoreField(MethodBody body, Instruction each, VariableDefinition frame)
        {
            var target = (FieldReference)each.Operand;
            if (target.DeclaringType.IsValueType || target.FieldType.IsGenericParameter) return;
            bool captured = Regex.IsMatch(target.DeclaringType.Name, "^<.*>c__(AnonStorey|Iterator)");
            if (captured && target.Name.StartsWith("$", StringComparison.Ordinal)) return;
            var held = new VariableDefinition(target.FieldType);
            body.Variables.Add(held);
            Before(body, each, Instruction.Create(OpCodes.Stloc, held), Instruction.Create(OpCodes.Dup), Instruction.Create(OpCodes.Ldloc, held));
            int index = body.Instructions.IndexOf(each);
            Instruction store = body.Instructions[index + 3];
            var added = new List<Instruction>();
            if (captured)
            {
                added.Add(Instruction.Create(OpCodes.Pop));
                added.AddRange(Report(frame, Instruction.Create(OpCodes.Ldloc, held), target.FieldType, Recorder.FieldName(target.Name)));
            }
            else
            {
                added.Add(Instruction.Create(OpCodes.Ldloc, held));
                added.AddRange(Box(target.FieldType));
                added.Add(Instruction.Create(OpCodes.Ldloc, frame));
                added.Add(Instruction.Create(OpCodes.Ldstr, Recorder.FieldName(target.Name)));
                added.Add(Instruction.Create(OpCodes.Call, field));
            }
            After(body, store, added);
        }

        static void StoreElement(MethodBody body, Instruction each, VariableDefinition frame)
        {
            TypeReference kind;
            switch (each.OpCode.Code)
            {
                case Code.Stelem_I1: kind = module.TypeSystem.SByte; break;
                case Code.Stelem_I2: kind = module.TypeSystem.Int16; break;
                case Code.Stelem_I4: kind = module.TypeSystem.Int32; break;
                case Code.Stelem_I8: kind = module.TypeSystem.Int64; break;
                case Code.Stelem_R4: kind = module.TypeSystem.Single; break;
                case Code.Stelem_R8: kind = module.TypeSystem.Double; break;
                case Code.Stelem_Ref: kind = module.TypeSystem.Object; break;
                case Code.Stelem_Any: kind = (TypeReference)each.Operand; break;
                default: return;
            }
            var held = new VariableDefinition(kind);
            var index = new VariableDefinition(module.TypeSystem.Int32);
            body.Variables.Add(held);
            body.Variables.Add(index);
            Before(body, each, Instruction.Create(OpCodes.Stloc, held), Instruction.Create(OpCodes.Stloc, index), Instruction.Create(OpCodes.Dup), Instruction.Create(OpCodes.Ldloc, index), Instruction.Create(OpCodes.Ldloc, held));
            Instruction store = body.Instructions[body.Instructions.IndexOf(each) + 5];
            After(body, store, new[] { Instruction.Create(OpCodes.Ldloc, index), Instruction.Create(OpCodes.Ldloc, frame), Instruction.Create(OpCodes.Call, element) });
        }
    }
}
