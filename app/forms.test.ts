import { expect, test } from "vitest";
import { formText, readForm, wholeNumber } from "./forms.ts";

const level = { from: 0, to: 5, otherwise: 2 };

test.each([
  ["3", 3],
  [" 4 ", 4],
  ["2.9", 2],
  ["-7", 0],
  ["99999999999999999999", 5],
  ["1e3", 5],
  ["", 2],
  ["   ", 2],
  ["three", 2],
  ["NaN", 2],
  ["Infinity", 2],
  [null, 2],
  [new File([], "x"), 2],
])("%s as a whole number from 0 to 5", (given, number) => {
  expect(wholeNumber(given, level)).toBe(number);
});

test("a browser's line ends become those that programs are kept with; what is no text is none", () => {
  const form = new FormData();
  form.set("program", "a\r\nb\rc\n");
  form.set("file", new File(["x"], "deck.py"));
  expect([formText(form, "program"), formText(form, "file"), formText(form, "none")]).toEqual(["a\nb\rc\n", "", ""]);
});

test("a form that is cut off gets words and 400, not a crash", async () => {
  const cut = new Request("http://local/", {
    method: "POST",
    headers: { "Content-Type": "multipart/form-data; boundary=deck" },
    body: '--deck\r\nContent-Disposition: form-data; name="program"\r\n\r\nprint(1)',
  });
  await expect(readForm(cut)).rejects.toMatchObject({
    data: expect.stringContaining("did not arrive whole"),
    init: { status: 400 },
  });
  await expect(
    readForm(new Request("http://local/", { method: "POST", headers: { "Content-Type": "image/png" }, body: "x" })),
  ).rejects.toMatchObject({
    init: { status: 400 },
  });
  const whole = new Request("http://local/", { method: "POST", body: new URLSearchParams({ words: "deck" }) });
  expect((await readForm(whole)).get("words")).toBe("deck");
});
