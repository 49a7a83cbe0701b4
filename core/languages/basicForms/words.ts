/** Names of what a form, a console or the library offers, never a person's. */
export const typedBasicWords: readonly string[] = (
  "Main Console WriteLine ReadLine Write Read ReadKey System TextBox Button Label Form CheckBox RadioButton ListBox ComboBox NumericUpDown Timer Text Value Checked Items Add SelectedIndex SelectedItem EventArgs sender Handles Click Load " +
  "TextChanged CheckedChanged SelectedIndexChanged ValueChanged Tick Enabled Visible Focus Clear Close Show MessageBox DialogResult InitializeComponent Int32 Math Max Min Pow Sqrt Round Floor Ceiling Parse TryParse ToString Length Substring IndexOf " +
  "Contains Remove RemoveAt Insert Sort Reverse Keys Values ContainsKey Key Item List Dictionary Queue Stack Collections Generic Exception Message FormatException InvalidCastException OverflowException DivideByZeroException " +
  "IndexOutOfRangeException NullReferenceException ArgumentException Random Next NextDouble Convert ToInt32 ToDouble ToUpper ToLower PadLeft PadRight StartsWith EndsWith Environment NewLine vbCrLf vbTab vbNewLine vbLf IO File StreamReader " +
  "StreamWriter ReadAllLines ReadToEnd Module1 Form1 MyBase GetUpperBound GetLength IsNullOrEmpty PI Color DateTime"
).split(" ");
