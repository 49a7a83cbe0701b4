using System;
using System.Collections;
using System.Collections.Generic;
using System.Linq;

namespace BentNail.Basic
{
    public struct Color
    {
        public string Name;
        static Color Of(string name) { return new Color { Name = name }; }
        public static readonly Color Black = Of("black"), Blue = Of("blue"), Green = Of("green"), Red = Of("red"), White = Of("white"), Yellow = Of("yellow");
        public static readonly Color Gray = Of("grey"), Orange = Of("orange"), LightGreen = Of("light green"), LightBlue = Of("light blue"), Pink = Of("pink"), Transparent = Of("transparent");
        public override string ToString() { return "Color [" + Name + "]"; }
    }

    /// <summary>Something on a form: it holds what programs ask it for, and tells who listens when a user does something. Nothing is drawn.</summary>
    public abstract class Control
    {
        string text = "";
        public string Name { get; set; }
        public bool Enabled { get; set; }
        public bool Visible { get; set; }
        public Color BackColor { get; set; }
        public Color ForeColor { get; set; }
        public object Tag { get; set; }
        public int Width { get; set; }
        public int Height { get; set; }
        public int Left { get; set; }
        public int Top { get; set; }
        public event EventHandler Click;
        public event EventHandler TextChanged;

        protected Control()
        {
            Enabled = true;
            Visible = true;
        }

        public virtual string Text
        {
            get { return text; }
            set
            {
                if (text == (value ?? "")) return;
                text = value ?? "";
                if (TextChanged != null) TextChanged(this, EventArgs.Empty);
            }
        }

        /// <summary>True if somebody listens to its click.</summary>
        internal bool Heard { get { return Click != null; } }

        internal void Press() { if (Click != null) Click(this, EventArgs.Empty); }

        public bool Focus() { return true; }
        public virtual void Hide() { Visible = false; }
        public virtual void Show() { Visible = true; }

        /// <summary>Which of the kinds of a form's file it is, and what is told of it beside its text.</summary>
        internal abstract string Kind { get; }
        internal virtual string More { get { return ""; } }

        /// <summary>What a recording shows of it: names and values by turns.</summary>
        public virtual object[] Facts() { return new object[] { "Text", Text }; }

        public override string ToString() { return GetType().Name + (Text == "" ? "" : ", Text: " + Text); }
    }

    public class TextBox : Control
    {
        public bool ReadOnly { get; set; }
        public bool Multiline { get; set; }
        public int MaxLength { get; set; }
        public string[] Lines { get { return Text.Split(new[] { "\r\n", "\n" }, StringSplitOptions.None); } set { Text = string.Join("\r\n", value); } }
        public void Clear() { Text = ""; }
        public void SelectAll() { }
        public void AppendText(string more) { Text += more; }
        internal override string Kind { get { return "box"; } }
    }

    public class Label : Control
    {
        public bool AutoSize { get; set; }
        internal override string Kind { get { return "label"; } }
    }

    public class Button : Control
    {
        public void PerformClick() { Press(); }
        internal override string Kind { get { return "button"; } }
    }

    public class CheckBox : Control
    {
        bool set;
        public event EventHandler CheckedChanged;

        public bool Checked
        {
            get { return set; }
            set
            {
                if (set == value) return;
                set = value;
                Changed();
            }
        }

        protected virtual void Changed() { if (CheckedChanged != null) CheckedChanged(this, EventArgs.Empty); }
        public override object[] Facts() { return new object[] { "Checked", Checked }; }
        internal override string Kind { get { return "check"; } }
        internal override string More { get { return ",\"checked\":" + (set ? "true" : "false"); } }
    }

    /// <summary>One of several: choosing it takes the choice away from the others of its form.</summary>
    public class RadioButton : CheckBox
    {
        internal Form Owner;

        protected override void Changed()
        {
            if (Checked && Owner != null)
                foreach (RadioButton other in Owner.Controls.OfType<RadioButton>().Where(each => each != this)) other.Checked = false;
            base.Changed();
        }

        internal override string Kind { get { return "option"; } }
    }

    public sealed class Items : IEnumerable<object>, ICollection
    {
        object ICollection.SyncRoot { get { return list; } }
        bool ICollection.IsSynchronized { get { return false; } }
        void ICollection.CopyTo(Array array, int at) { ((ICollection)list).CopyTo(array, at); }
        readonly List<object> list = new List<object>();
        public int Count { get { return list.Count; } }
        public object this[int at] { get { return list[at]; } set { list[at] = value; } }
        public int Add(object item)
        {
            if (item == null) throw new ArgumentNullException("item");
            list.Add(item);
            return list.Count - 1;
        }
        public void AddRange(IEnumerable items) { foreach (object item in items) Add(item); }
        public void Remove(object item) { list.Remove(item); }
        public void RemoveAt(int at) { list.RemoveAt(at); }
        public void Insert(int at, object item) { list.Insert(at, item); }
        public void Clear() { list.Clear(); }
        public bool Contains(object item) { return list.Contains(item); }
        public int IndexOf(object item) { return list.IndexOf(item); }
        public IEnumerator<object> GetEnumerator() { return list.GetEnumerator(); }
        IEnumerator IEnumerable.GetEnumerator() { return list.GetEnumerator(); }
    }

    public class ListBox : Control
    {
        readonly Items items = new Items();
        int chosen = -1;
        public event EventHandler SelectedIndexChanged;
        public Items Items { get { return items; } }

        public int SelectedIndex
        {
            get { return chosen < items.Count ? chosen : -1; }
            set
            {
                if (value < -1 || value >= items.Count) throw new ArgumentOutOfRangeException("SelectedIndex", "InvalidArgument=Value of '" + value + "' is not valid for 'SelectedIndex'.");
                if (chosen == value) return;
                chosen = value;
                Chosen();
                if (SelectedIndexChanged != null) SelectedIndexChanged(this, EventArgs.Empty);
            }
        }

        protected virtual void Chosen() { }
        public object SelectedItem { get { return SelectedIndex < 0 ? null : items[chosen]; } set { SelectedIndex = items.IndexOf(value); } }
        public void ClearSelected() { SelectedIndex = -1; }
        public override object[] Facts() { return new object[] { "Items", Items, "SelectedIndex", SelectedIndex }; }
        internal override string Kind { get { return "list"; } }
        internal override string More { get { return ",\"chosen\":" + SelectedIndex + ",\"items\":[" + string.Join(",", items.Take(50).Select(each => Player.Quoted(To.Text(each)))) + "]"; } }
    }

    public class ComboBox : ListBox
    {
        protected override void Chosen() { Text = SelectedIndex < 0 ? "" : To.Text(SelectedItem); }
        internal override string Kind { get { return "choice"; } }
    }

    public class NumericUpDown : Control
    {
        decimal amount;
        public event EventHandler ValueChanged;
        public decimal Minimum { get; set; }
        public decimal Maximum { get; set; }
        public decimal Increment { get; set; }

        public NumericUpDown()
        {
            Maximum = 100;
            Increment = 1;
        }

        public decimal Value
        {
            get { return amount; }
            set
            {
                if (value < Minimum || value > Maximum) throw new ArgumentOutOfRangeException("Value", "Value of '" + value + "' is not valid for 'Value'. 'Value' should be between 'Minimum' and 'Maximum'.");
                if (amount == value) return;
                amount = value;
                if (ValueChanged != null) ValueChanged(this, EventArgs.Empty);
            }
        }

        public override string Text { get { return amount.ToString(); } set { if (!string.IsNullOrEmpty(value)) Value = To.Decimal(value); } }
        public override object[] Facts() { return new object[] { "Value", Value }; }
        internal override string Kind { get { return "number"; } }
    }

    public class Timer : Control
    {
        public int Interval { get; set; }
        public event EventHandler Tick;
        public void Start() { Enabled = true; }
        public void Stop() { Enabled = false; }
        public Timer() { Enabled = false; }
        internal void Ring() { if (Enabled && Tick != null) Tick(this, EventArgs.Empty); }
        internal override string Kind { get { return "timer"; } }
    }

    public sealed class ControlList : List<Control>
    {
        readonly Form owner;
        internal ControlList(Form owner) { this.owner = owner; }
        public new void Add(Control control)
        {
            base.Add(control);
            var one = control as RadioButton;
            if (one != null) one.Owner = owner;
        }
    }

    public class Form : Control
    {
        static readonly Dictionary<Type, Form> shown = new Dictionary<Type, Form>();
        public event EventHandler Load;
        public ControlList Controls { get; private set; }
        internal bool Closed;

        protected Form()
        {
            Controls = new ControlList(this);
            Wire();
            shown[GetType()] = this;
            Player.Seen(this);
        }

        /// <summary>The form of a class that a program means by the name of the class.</summary>
        public static T Shown<T>() where T : Form, new()
        {
            Form known;
            return shown.TryGetValue(typeof(T), out known) ? (T)known : new T();
        }

        internal static void Forget() { shown.Clear(); }
        protected virtual void Wire() { }
        internal void Open() { if (Load != null) Load(this, EventArgs.Empty); }
        public void Close() { Closed = true; }
        public override void Show() { Visible = true; Open(); }
        public DialogResult ShowDialog() { Show(); return DialogResult.OK; }
        internal override string Kind { get { return "form"; } }
    }
}
