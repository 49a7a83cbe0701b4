import { expect, test } from "vitest";
import { readDesigned, readFormFile } from "./forms.ts";
import { translateBasic } from "./translate.ts";

const controls = (text: string, others: ReadonlyArray<{ name: string; text: string }> = []) =>
  translateBasic([{ name: "Form1.vb", text }, ...others]).form?.controls.map(({ name, kind }) => `${name} ${kind}`);
const form = (...lines: string[]) =>
  `Public Class Form1\n  Private Sub btnWork_Click(sender As Object, e As EventArgs) Handles btnWork.Click\n${lines.map((line) => `    ${line}\n`).join("")}  End Sub\nEnd Class\n`;

test("what stands on a form is said by a file of its own, a line each", () => {
  const text = "' Fares\nform Form1 Fares of the day\nbox txtAdults\nbutton btnWork Work it out\nlist lstBoats\n\n";
  const { forms, problems } = readFormFile(text);
  expect(problems).toEqual([]);
  expect(forms.get("form1")).toEqual([
    { name: "txtAdults", kind: "TextBox" },
    { name: "btnWork", kind: "Button", text: "Work it out" },
    { name: "lstBoats", kind: "ListBox" },
  ]);
  expect(controls(form("txtOther.Text = 3"), [{ name: "Form1.form", text }])).toEqual([
    "txtAdults TextBox",
    "btnWork Button",
    "lstBoats ListBox",
  ]);
});

test("a line of it that says nothing is told by its number", () => {
  expect(readFormFile("form Form1\nknob turn\nbox 3\n").problems).toEqual([
    { line: 2, says: "“knob” is none of form, box, label, button, check, option, list, choice, number, timer" },
    { line: 3, says: "behind “box” stands a name" },
  ]);
});

test("the part that an editor has written says it, too", () => {
  const designed = `Partial Class Form1
  Private Sub InitializeComponent()
    Me.lblFare = New System.Windows.Forms.Label()
    Me.lblFare.Text = "Fare"
    Me.btnWork = New Button()
  End Sub
  Friend WithEvents txtAdults As System.Windows.Forms.TextBox
End Class
`;
  expect(readDesigned(designed)).toEqual([
    { name: "lblFare", kind: "Label", text: "Fare" },
    { name: "btnWork", kind: "Button" },
    { name: "txtAdults", kind: "TextBox" },
  ]);
  expect(controls(form("lblFare.Text = txtAdults.Text"), [{ name: "Form1.Designer.vb", text: designed }])).toHaveLength(
    3,
  );
});

test("else the program itself says it: by beginnings of names, by what is asked of them, by what is handled", () => {
  expect(
    controls(
      form("lblFare.Text = txtAdults.Text", "If chkReturn.Checked Then total.Text = 3", "lstBoats.Items.Add(4)"),
    ),
  ).toEqual([
    "btnWork Button",
    "lblFare Label",
    "txtAdults TextBox",
    "chkReturn CheckBox",
    "total TextBox",
    "lstBoats ListBox",
  ]);
});

test("of two names that are almost alike the rarer one is misspelt", () => {
  const text = form("lblFare.Text = txtFare.Text", "txtFare.Text = txtFrae.Text");
  expect(controls(text)).toEqual(["btnWork Button", "lblFare Label", "txtFare TextBox"]);
  expect(
    translateBasic([{ name: "Form1.vb", text }]).problems.map(({ code, place }) => `${place.line} ${code}`),
  ).toEqual(["4 BC30451"]);
});

test("routines without a class around them are a form's", () => {
  const loose =
    "Private Sub btnWork_Click(sender As Object, e As EventArgs) Handles btnWork.Click\n  lblFare.Text = 3\nEnd Sub\n";
  expect(controls(loose)).toEqual(["btnWork Button", "lblFare Label"]);
  expect(translateBasic([{ name: "Form1.vb", text: loose }]).problems).toEqual([]);
});

test("a handler of something that is not on the form, or of an event that it does not have, is refused", () => {
  const said = { name: "Form1.form", text: "form Form1\nbutton btnWork\n" };
  const text = form("MsgBox(3)").replace("btnWork.Click", "btnOther.Click");
  expect(translateBasic([{ name: "Form1.vb", text }, said]).problems.map(({ code }) => code)).toEqual(["BC30506"]);
  const other = form("MsgBox(3)").replace("btnWork.Click", "btnWork.Clik");
  expect(translateBasic([{ name: "Form1.vb", text: other }, said]).problems.map(({ code }) => code)).toEqual([
    "BC30590",
  ]);
});
