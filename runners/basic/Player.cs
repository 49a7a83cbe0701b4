using System;
using System.Collections.Generic;
using System.Linq;
using System.Text;

namespace BentNail.Basic
{
    /// <summary>
    /// Does what a form's user does, a line each (docs/typed-basic.md), and tells the forms at the end: one line of the errors behind a sign that texts do
    /// not hold, {"forms": [{name, text, closed, controls: [{kind, name, text, enabled, visible, ...}]}], "unheard": [names], "missed": [lines]}.
    /// </summary>
    public static class Player
    {
        const char Record = '\u001e';
        const int MostText = 400;
        static readonly List<Form> forms = new List<Form>();
        static readonly List<string> unheard = new List<string>();
        static readonly List<string> missed = new List<string>();

        /// <summary>True while a form's user acts: what is typed in are acts.</summary>
        internal static bool Plays { get; private set; }

        internal static void Begin()
        {
            Plays = false;
            forms.Clear();
            unheard.Clear();
            missed.Clear();
            Form.Forget();
        }

        internal static void Seen(Form form) { if (forms.Count < 5) forms.Add(form); }

        public static void Play(Func<Form> make)
        {
            Plays = true;
            try
            {
                Form form = make();
                form.Open();
                int number = 0;
                for (string line = Dialogs.Take(); line != null && !form.Closed; line = Dialogs.Take())
                {
                    number++;
                    if (line.Trim() != "" && !Act(form, line.Trim())) missed.Add(line.Trim());
                }
            }
            finally
            {
                Tell();
            }
        }

        static Control Named(string name)
        {
            return forms.SelectMany(form => form.Controls).FirstOrDefault(each => string.Equals(each.Name, name, StringComparison.OrdinalIgnoreCase));
        }

        /// <summary>Does one line; false if nobody could: what it names is not there, is hidden or may not be used.</summary>
        static bool Act(Form form, string line)
        {
            string[] words = line.Split(new[] { ' ', '\t' }, 2);
            string word = words[0].ToLowerInvariant();
            string rest = words.Length > 1 ? words[1].Trim() : "";
            if (word == "close")
            {
                form.Close();
                return true;
            }
            if (word == "answer") return false;
            string[] parts = rest.Split(new[] { ' ', '\t' }, 2);
            Control control = Named(parts[0]);
            string given = parts.Length > 1 ? parts[1].Trim() : "";
            if (control == null || !control.Visible || !control.Enabled && !(control is Timer)) return false;
            switch (word)
            {
                case "type":
                    var box = control as TextBox;
                    if (box != null && box.ReadOnly || !(control is TextBox || control is ComboBox || control is NumericUpDown)) return false;
                    control.Text = given;
                    return true;
                case "press":
                    if (!control.Heard && !unheard.Contains(control.Name)) unheard.Add(control.Name);
                    control.Press();
                    return true;
                case "tick":
                case "untick":
                    var check = control as CheckBox;
                    if (check == null) return false;
                    check.Checked = word == "tick";
                    control.Press();
                    return true;
                case "choose":
                    var list = control as ListBox;
                    if (list == null) return false;
                    int at = Enumerable.Range(0, list.Items.Count).Where(each => To.Text(list.Items[each]) == given).DefaultIfEmpty(-1).First();
                    int place;
                    if (at < 0 && int.TryParse(given, out place) && place >= 1 && place <= list.Items.Count) at = place - 1;
                    if (at < 0) return false;
                    list.SelectedIndex = at;
                    return true;
                case "ring":
                    var timer = control as Timer;
                    if (timer == null) return false;
                    timer.Ring();
                    return true;
                default:
                    return false;
            }
        }

        static void Tell()
        {
            var all = new StringBuilder();
            foreach (Form form in forms)
            {
                if (all.Length > 0) all.Append(',');
                all.Append("{\"name\":").Append(Quoted(form.Name ?? "")).Append(",\"text\":").Append(Quoted(form.Text)).Append(",\"closed\":").Append(form.Closed ? "true" : "false").Append(",\"controls\":[");
                all.Append(string.Join(",", form.Controls.Take(200).Select(Told))).Append("]}");
            }
            Console.Out.Flush();
            Console.Error.Write(Record + "{\"forms\":[" + all + "],\"unheard\":[" + string.Join(",", unheard.Select(Quoted)) + "],\"missed\":[" + string.Join(",", missed.Take(20).Select(Quoted)) + "]}\n");
            Console.Error.Flush();
        }

        static string Told(Control control)
        {
            return "{\"kind\":\"" + control.Kind + "\",\"name\":" + Quoted(control.Name ?? "") + ",\"text\":" + Quoted(control.Text) + ",\"enabled\":" + (control.Enabled ? "true" : "false") + ",\"visible\":" + (control.Visible ? "true" : "false") + (control.ForeColor.Name == null ? "" : ",\"colour\":" + Quoted(control.ForeColor.Name)) + (control.BackColor.Name == null ? "" : ",\"behind\":" + Quoted(control.BackColor.Name)) + control.More + "}";
        }

        /// <summary>A text as JSON has it, its end cut where it is too long.</summary>
        internal static string Quoted(string text)
        {
            var made = new StringBuilder("\"");
            foreach (char sign in text.Length > MostText ? text.Substring(0, MostText) + "…" : text)
            {
                if (sign == '"' || sign == '\\') made.Append('\\').Append(sign);
                else if (sign < ' ' || sign > '~') made.Append("\\u").Append(((int)sign).ToString("x4"));
                else made.Append(sign);
            }
            return made.Append('"').ToString();
        }
    }
}
