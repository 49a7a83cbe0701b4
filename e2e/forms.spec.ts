import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";
import { writeProgram } from "./editor.ts";

const counter = `Public Class Form1
    Private cars As Integer = 0

    Private Sub btnCar_Click(sender As Object, e As EventArgs)
        cars = cars + 1
        lblCars.Text = cars & " on deck"
        btnCar.Focus()
    End Sub
End Class
`;
const heard = counter.replace("e As EventArgs)", "e As EventArgs) Handles btnCar.Click");

test("a form: what its user does, what it shows, a button that nobody answers and the routine that was meant to, its dry run", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByLabel("Program", { exact: true }).fill(counter);
  await page.getByLabel("What is the program for?").fill("Count cars by presses");
  await page.getByLabel("Typed in").fill("press btnCar\npress btnCar\n");
  await page.getByLabel("Should come out").fill("form lblCars = 2 on deck\n");
  await page.getByLabel("Came out instead").fill("nothing");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await expect(page.getByRole("heading", { name: "Count cars by presses" })).toBeVisible();
  await expect(page.getByText("Typed Basic with forms · version 1 of 1")).toBeVisible();
  await expect(page.getByRole("region", { name: "Proposal" })).toContainText("logic error");
  await expect(page.getByText("says nowhere that it handles btnCar.Click").first()).toBeVisible();
  await page.getByRole("link", { name: "Checks", exact: true }).click();
  const form = page.getByRole("table", { name: /^Form Form1 after/ });
  await expect(form.getByRole("row", { name: /btnCar/ })).toContainText("button");
  await expect(page.getByText("btnCar was pressed, and no routine answers to it: nothing happened.")).toBeVisible();
  await noBarriers(page);

  await page.getByRole("link", { name: "Mend", exact: true }).click();
  await page.getByRole("button", { name: "Accept" }).first().click();
  await page.getByLabel("Copy of the program", { exact: true }).click();
  await page.keyboard.press("Control+a");
  await page.keyboard.insertText(heard);
  await page.getByRole("button", { name: "Run again" }).click();
  await expect(page.getByLabel("Verdict")).toContainText("Verified: all checks pass");
  await page.getByRole("link", { name: "Checks", exact: true }).click();
  await expect(form.getByRole("row", { name: /lblCars/ })).toContainText("2 on deck");

  // What nobody can do is refused where a check is changed.
  await page.getByRole("button", { name: "Change" }).first().click();
  await page.getByLabel("What the user does").fill("press btnCar\npush btnCar\n");
  await page.getByRole("button", { name: "Keep and run" }).click();
  await expect(page.getByText("Line 2 of what the user does is not understood").first()).toBeVisible();
  await expect(page.getByLabel("What the user does")).toHaveValue("press btnCar\npush btnCar\n");
  await page.getByRole("button", { name: "Leave as it was" }).click();

  await page.goto(page.url().replace(/\?.*$/, "/run"));
  const table = page.getByRole("region", { name: "Trace table" });
  await expect(table.getByRole("columnheader", { name: "cars", exact: true })).toBeVisible();
  await expect(table.getByRole("columnheader", { name: "lblCars" })).toBeVisible();
  await noBarriers(page);
});

test("an exercise with a form: a student tries it on a phone, and sees what stands on the form then", async ({
  page,
  browser,
}) => {
  const faulty = heard.replace("cars + 1", "cars + 2");
  await page.goto("/");
  await page.getByLabel("Program", { exact: true }).fill(faulty);
  await page.getByLabel("What is the program for?").fill("Count cars on the ramp");
  await page.getByLabel("Typed in").fill("press btnCar\npress btnCar\n");
  await page.getByLabel("Should come out").fill("form lblCars = 2 on deck\n");
  await page.getByLabel("Came out instead").fill("4 on deck");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await expect(page.getByRole("heading", { name: "Count cars on the ramp" })).toBeVisible();
  await page.getByRole("button", { name: "Another class" }).click();
  await page.getByRole("button", { name: "Confirm" }).click();
  await page.getByRole("button", { name: /^line 5\b/ }).press("Enter");
  await page.getByRole("link", { name: "Mend", exact: true }).click();
  await writeProgram(page, "Copy of the program", heard);
  await page.getByRole("button", { name: "Run again" }).click();
  await expect(page.getByLabel("Verdict")).toContainText("Verified: all checks pass");
  await page.getByRole("link", { name: "Make an exercise" }).click();
  await page.getByRole("button", { name: "Make the exercise" }).click();
  await expect(page.getByRole("heading", { name: "Tasks" })).toBeVisible();
  await page.goto("/sheets");
  await page.getByLabel("Title of a new sheet").fill("Cars by presses");
  await page.getByLabel("Course").selectOption({ label: "Kittiwake Crossing, many languages" });
  await page.getByRole("button", { name: "Begin the sheet" }).click();
  await page.getByLabel("Put on the sheet").selectOption({ label: "Count cars on the ramp" });
  await page.getByRole("button", { name: "Put it on" }).click();
  await page.getByRole("button", { name: "Set it for students" }).click();
  await expect(page.getByText("It is set.")).toBeVisible();
  const code = (await page.getByText("Sheet code").locator("strong").textContent()) ?? "";
  await page.getByRole("link", { name: "Slips with personal codes" }).click();
  const slip = page.getByRole("listitem").filter({ hasText: "T-03" });
  const personal = (await slip.locator("strong").first().textContent()) ?? "";

  const phone = await browser.newContext({
    viewport: { width: 375, height: 750 },
    baseURL: new URL(page.url()).origin,
  });
  const student = await phone.newPage();
  await student.goto(`/s/${code}`);
  await student.getByLabel("Your label").selectOption("T-03");
  await student.getByLabel("Your personal code").fill(personal);
  await student.getByRole("button", { name: "Begin" }).click();
  await expect(student.getByRole("heading", { name: "Cars by presses" })).toBeVisible();
  await student.getByLabel("What does it print?").fill("4 on deck");
  await student.getByRole("button", { name: "I give this up" }).last().click();
  await writeProgram(student, "Program to be mended", heard);
  await student.getByLabel(/^Type in|^What the user does/).fill("press btnCar\npress btnCar\npress btnCar\n");
  await student.getByRole("button", { name: "Try it" }).click();
  const form = student.getByRole("table", { name: /^Form Form1 after/ });
  await expect(form.getByRole("row", { name: /lblCars/ })).toContainText("3 on deck");
  expect(await student.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(375);
  await noBarriers(student);
  await student.getByRole("button", { name: "Hand in" }).click();
  await expect(student.getByText("Your teacher will release the marks.")).toBeVisible();
  await phone.close();
});
