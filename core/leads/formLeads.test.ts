import { expect, test } from "vitest";
import { basicForms } from "../languages/basicForms/basicForms.ts";
import { pieceOfForms } from "../outcome/formFacts.ts";
import type { ShownForms } from "../outcome/forms.ts";
import type { Outcome } from "../outcome/outcome.ts";
import type { Step, Trace } from "../trace/trace.ts";
import { judge } from "../verdict/judge.ts";

/** What is judged of a program whose label shows a text at its end; `ran`: the lines that were run. */
function judged(program: string, label: string, ran: readonly number[], unheard: readonly string[] = []) {
  const forms: ShownForms = {
    forms: [
      {
        ...{ name: "Form1", text: "", closed: false },
        controls: [{ kind: "label", name: "lblCars", text: label, enabled: true, visible: true }],
      },
    ],
    ...{ unheard: [...unheard], missed: [] },
  };
  const outcome: Outcome = {
    ...{ started: true, finished: true, stoppedBy: "none", exit: { code: 0, signal: 0 }, diagnostics: [], effects: [] },
    ...{ console: [pieceOfForms(forms)], forms, inputRanOut: false, milliseconds: 1, translator: "ours" },
  };
  const steps = ran.map((line, index): Step => ({ index, file: 0, line, frame: 1, depth: 0, writes: [], ended: [] }));
  const trace: Trace = { outcome, files: ["Form1.vb"], steps };
  const files = { "Form1.vb": program };
  return judge({
    language: basicForms,
    mainName: "Form1.vb",
    files,
    expected: "form lblCars = Full\n",
    outcome,
    trace,
  });
}

const counter = (handles: string) => `Public Class Form1
  Private cars As Integer = 0
  Private Sub btnCar_Click(sender As Object, e As EventArgs)${handles}
    cars = cars + 1
    lblCars.Text = cars & " on deck"
    If cars > 3 Then
      lblCars.Text = "Full"
    End If
  End Sub
End Class
`;

test("a press that nobody answers leads to the routine that is named after the button", () => {
  const { leads, class: found } = judged(counter(""), "", [2], ["btnCar"]);
  expect(found).toBe("logic");
  expect(leads[0]).toMatchObject({
    line: 3,
    why: expect.stringContaining("says nowhere that it handles btnCar.Click"),
  });
});

test("one that handles another button's press is named with it", () => {
  const { leads } = judged(counter(" Handles btnBoat.Click"), "", [2], ["btnCar"]);
  expect(leads[0]).toMatchObject({ line: 3, why: expect.stringContaining("but handles “btnBoat”") });
});

test("what a label shows leads to the decision that kept another line from giving it something else", () => {
  const { leads } = judged(counter(" Handles btnCar.Click"), "3 on deck", [2, 3, 4, 5, 6]);
  expect(leads.slice(0, 3).map(({ line }) => line)).toEqual(expect.arrayContaining([5, 6, 7]));
  expect(leads[0]).toMatchObject({ line: 6, why: expect.stringContaining("kept line 7 from giving “lblCars”") });
});

test("where the form shows what is intended nothing is said of it", () => {
  expect(judged(counter(" Handles btnCar.Click"), "Full", [2, 3, 4, 5, 6, 7]).leads).toEqual([]);
});
