// Takes the pictures in docs/screenshots from the demo on port 4200 (npm run demo). The class set is made by
// tools/make-class-set.mjs; name its zip.
import { chromium } from "@playwright/test";
import { demoLoaded } from "./wait-for-demo.mjs";

const base = "http://127.0.0.1:4200";
await demoLoaded(base);
const browser = await chromium.launch({
  executablePath: "/usr/bin/chromium",
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const save = async (name) => {
  await page.waitForTimeout(700);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
};

await page.goto(base);
await page.getByRole("button", { name: "Try a sample" }).click();
await save("tray");
await page.evaluate(() => localStorage.clear());
await page.getByRole("link", { name: "Mean wave height of a week" }).click();
await page.getByRole("link", { name: "Another fix" }).waitFor({ timeout: 60_000 });
await save("case");
await page.goto(base);
await page.goto(`${base}/collect`);
await page.getByLabel("For the course").selectOption({ label: "Kittiwake Crossing, group 1" });
await page.getByLabel("Choose a zip or files").setInputFiles(process.argv[2] ?? "/tmp/deck-loads.zip");
await page.waitForURL(/collect\/\w+/);
await save("collect-table");
await page.getByRole("button", { name: "Put it away" }).click();
await page.goto(`${base}/lessons`);
await page.getByRole("link", { name: "Three kinds of error" }).click();
await page.getByRole("heading", { level: 1, name: "Three kinds of error" }).waitFor();
await save("lesson");
// Before the class: on the way to the mistake of a program that gives a wrong result.
const lessonAddress = page.url();
await page.goto(`${lessonAddress}/present`);
await page.getByLabel("Part").selectOption({ label: "5. A faulty program together" });
await page.getByRole("list", { name: /^Program / }).waitFor({ timeout: 60_000 });
for (let step = 0; step < 6; step++) await page.keyboard.press("ArrowRight");
await page.getByRole("list", { name: "The way to the mistake" }).waitFor();
await save("presentation");
await page.goto(`${base}/courses`);
await page.getByRole("link", { name: "Kittiwake Crossing, group 2" }).click();
await page.getByRole("link", { name: "Deck loads" }).click();
await page.getByRole("heading", { name: "Model programs" }).waitFor();
await page.getByRole("link", { name: "Overview" }).click();
await page.getByRole("link", { name: "K-03, at the limit: another result" }).click();
await page.getByRole("region", { name: "The run of the pressed cell" }).waitFor();
await save("overview");
await page.getByRole("link", { name: "Work through them" }).click();
await page.getByRole("navigation", { name: "Working through" }).waitFor();
for (let times = 0; times < 8; times++) {
  const fix = page.getByRole("link", { name: "Another fix" });
  if (
    await fix.waitFor({ timeout: 8_000 }).then(
      () => true,
      () => false,
    )
  )
    break;
  await page.keyboard.press("n");
}
await save("working");
await page.goto(`${base}/casebook/questions`);
await page.getByLabel("Which course").selectOption({ label: "Kittiwake Crossing, two terms" });
await page.getByRole("link", { name: "show all" }).waitFor();
await page.getByRole("link", { name: "Is it getting better?" }).click();
await page.getByRole("columnheader", { name: "faults per program" }).waitFor();
await save("casebook");
await page.goto(`${base}/casebook?text=${encodeURIComponent("Cars of the day, a macro")}`);
await page.getByRole("link", { name: "Cars of the day, a macro" }).first().click();
await page.getByRole("figure", { name: "Sheet Fares" }).waitFor();
await page.getByText("Look here first").waitFor();
await save("macro");
await page.goto(`${base}/casebook?text=${encodeURIComponent("Cars on deck, click by click")}`);
await page.getByRole("link", { name: "Cars on deck, click by click" }).first().click();
await page.getByRole("link", { name: "Checks", exact: true }).click();
await page.getByRole("figure", { name: /^Drawing of/ }).waitFor();
await page.waitForTimeout(1500);
await save("sketch");
await page.goto(`${base}/casebook?text=${encodeURIComponent("The fare form, without children")}`);
await page.getByRole("link", { name: "The fare form, without children" }).first().click();
await page.getByRole("link", { name: "Checks", exact: true }).click();
await page.getByRole("table", { name: /^Form Form1/ }).waitFor();
await page.waitForTimeout(1500);
await save("form");
await page.goto(`${base}/plans/new`);
await page.getByLabel("The model of an assignment").selectOption({ label: "Deck loads · Kittiwake Crossing, group 2" });
await page.getByRole("button", { name: "Plan them" }).click();
await page.getByText(/proven by runs/).waitFor({ timeout: 120_000 });
await page.getByRole("checkbox", { name: "Deck loads 4" }).scrollIntoViewIfNeeded();
await save("plan");
await page.goto(`${base}/sheets`);
await page.getByRole("link", { name: "Passenger list with numbers" }).click();
await save("exercise");
await page.goto(`${base}/sheets`);
await page.getByRole("link", { name: "Debugging 1: errors on the ferry" }).click();
const code = await page.getByText("Sheet code").locator("strong").textContent();
await page.getByRole("link", { name: "Mark book" }).click();
await page.getByRole("heading", { level: 1, name: /^Mark book/ }).waitFor();
await save("mark-book");
await page.getByRole("link", { name: "Results" }).click();
await page.getByRole("heading", { name: "What to teach next" }).waitFor();
await save("results");
// The room: two students who sit the sheet, one of them stuck; what one ran last.
await page.goto(`${base}/courses`);
await page.getByRole("link", { name: "Kittiwake Crossing, group 1" }).click();
const personal = async (label) =>
  page
    .getByRole("row", { name: new RegExp(label) })
    .getByRole("cell")
    .nth(1)
    .textContent();
const codes = {
  "S-04": await personal("S-04"),
  "S-06": await personal("S-06"),
  "S-07": await personal("S-07"),
  "S-09": await personal("S-09"),
};
const enter = async (student, sheet, label) => {
  await student.goto(`${base}/s/${sheet}`);
  if (!(await student.getByLabel("Your label").isVisible())) return;
  await student.getByLabel("Your label").selectOption(label);
  await student.getByLabel("Your personal code").fill(codes[label]);
  await student.getByRole("button", { name: "Begin" }).click();
};
const students = [];
for (const label of ["S-06", "S-07"]) {
  const student = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await enter(student, code, label);
  students.push(student);
  const editor = student.getByRole("textbox", { name: "Program to be mended" }).first();
  await editor.press("Control+End");
  await editor.pressSequentially(label === "S-06" ? "# the colon" : "# a colon");
  for (let run = 0; run < (label === "S-06" ? 3 : 1); run++) {
    await student.getByRole("button", { name: "Try it" }).first().click();
    await student.getByText("It was refused before any line ran.").first().waitFor();
    await student.waitForTimeout(800);
  }
}
await page.goto(`${base}/sheets`);
await page.getByRole("link", { name: "Debugging 1: errors on the ferry" }).click();
await page.getByRole("link", { name: "The room" }).click();
await page.getByLabel("A word to all").fill("Read the message to its end first.");
await page.getByRole("button", { name: "Say it" }).click();
await page.getByLabel("The bell, in minutes").fill("20");
await page.getByRole("button", { name: "Set it" }).click();
await page.getByText(/^It rings at/).waitFor();
await page.getByRole("link", { name: /runs of S-06/ }).click();
await page.getByRole("heading", { name: /^S-06 at/ }).waitFor();
await save("room");
await page.getByRole("button", { name: "No bell" }).click();
for (const student of students) await student.context().close();
// A sheet for practice on a phone, with a hint.
await page.goto(`${base}/sheets`);
await page.getByRole("link", { name: "Warm-up: one fault each" }).click();
const practice = await page.getByText("Sheet code").locator("strong").textContent();
await page.setViewportSize({ width: 375, height: 800 });
await enter(page, practice, "S-04");
await page.getByRole("button", { name: "A hint" }).click();
await page.getByRole("button", { name: "One more hint" }).click();
await page.getByText(/^Look between line|^One line has/).waitFor();
await page.getByRole("list", { name: /^Hints for/ }).scrollIntoViewIfNeeded();
await page.evaluate(() => window.scrollBy(0, 200));
await save("student-phone");
// A student's own dry run, with guesses, in the browser's own Python.
await page.setViewportSize({ width: 1280, height: 800 });
const own = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
await enter(own, code, "S-09");
const task = own.locator("div.leaf", { has: own.getByRole("button", { name: "Go through it line by line" }) }).first();
await task.getByRole("textbox", { name: "Program to be mended" }).click();
await own.keyboard.press("Control+a");
await own.keyboard.insertText(
  'def heaviest(loads):\n    top = loads[0]\n    for load in loads:\n        if load < top:\n            top = load\n    return top\n\ncount = int(input("How many? "))\nloads = []\nfor number in range(count):\n    loads.append(int(input("Load? ")))\nprint("Heaviest:", heaviest(loads))\n',
);
await task.getByLabel("Type in, a line for each question").fill("3\n4\n9\n2");
await task.getByRole("button", { name: "Go through it line by line" }).click();
const runLine = task.getByRole("button", { name: "Run this line" });
await runLine.waitFor({ timeout: 60_000 });
for (let times = 0; times < 10; times++) await runLine.click();
await task.getByLabel("Name 1 to watch").selectOption({ label: "top in heaviest" });
await task.getByLabel("Name 2 to watch").selectOption({ label: "load in heaviest" });
for (const [first, second] of [
  ["", ""],
  ["4", ""],
  ["4", "4"],
  ["4", "4"],
  ["4", "9"],
]) {
  await task.getByLabel("Your guess for name 1").fill(first);
  await task.getByLabel("Your guess for name 2").fill(second);
  await runLine.click();
}
await task.getByText(/guess(es)? right$/).click();
await task.getByRole("region", { name: "Dry run of your program" }).evaluate((region) => {
  region.scrollIntoView();
  window.scrollBy(0, -60);
});
await own.waitForTimeout(500);
await own.screenshot({ path: "docs/screenshots/own-dry-run.png" });
await own.context().close();
// A recursion, in the dry run's own room, about to decide.
await page.emulateMedia({ media: "screen" });
await page.setViewportSize({ width: 1280, height: 800 });
await page.goto(base);
await page
  .getByLabel("Program", { exact: true })
  .fill(
    'def berth(length):\n    if length < 5 or length > 90:\n        return 0\n    return 1 + berth(length - 5)\n\ntotal = 0\nfor boat in [4, 12, 7]:\n    total = total + berth(boat)\nprint("Berths:", total)\n',
  );
await page.getByLabel("What is the program for?").fill("Count berths of five metres.");
await page.getByLabel("Should come out").fill("Berths: 6\n");
await page.getByLabel("Came out instead").fill("Berths: 3\n");
await page.getByRole("button", { name: "Take it in and run it" }).click();
await page.getByRole("link", { name: "Dry run" }).click();
await page.getByRole("link", { name: "In a room of its own" }).press("Enter");
await page.getByRole("textbox", { name: "Pass" }).fill("2");
await page.getByRole("button", { name: "To this pass" }).click();
for (let times = 0; times < 5; times++) await page.getByRole("button", { name: "Next line" }).click();
await page.getByText("7 < 5 is False").waitFor();
await save("dry-run");
await browser.close();
