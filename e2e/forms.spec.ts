import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";

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
