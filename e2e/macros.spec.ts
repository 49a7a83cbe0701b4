import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";

const macro = `Sub Main
  sheet = ThisComponent.Sheets.getByIndex(0)
  sheet.getCellRangeByName("A1").Value = 4
  sheet.getCellRangeByName("A2").Formula = "=A1*2"
  sheet.getCellRangeByName("A3").Valeu = 5
End Sub
`;

test("a macro that stops half-way: its sheet stands with what was done, a check asks for cells, and the mended one verifies it", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByLabel("Program", { exact: true }).fill(macro);
  await page.getByLabel("What is the program for?").fill("Cells of the deck");
  await page.getByLabel("Should come out").fill("cell A2 = 8\ncell A3 = 5\n");
  await page.getByLabel("Came out instead").fill("a window with an error");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await expect(page.getByRole("heading", { name: "Cells of the deck" })).toBeVisible();
  await expect(page.getByText("Basic macro · version 1 of 1")).toBeVisible();
  await expect(page.getByRole("region", { name: "Proposal" })).toContainText("runtime error");
  const sheet = page.getByRole("figure", { name: "Sheet Sheet1" });
  await expect(sheet).toContainText("2 cells changed");
  await expect(sheet.getByRole("cell", { name: /^8/ })).toContainText("=A1*2");
  await noBarriers(page);

  await page.getByRole("button", { name: "Accept" }).click();
  await page.getByRole("link", { name: "Mend", exact: true }).click();
  await page.getByLabel("Copy of the program", { exact: true }).click();
  await page.keyboard.press("Control+a");
  await page.keyboard.insertText(macro.replace("Valeu", "Value"));
  await page.getByRole("button", { name: "Run again" }).click();
  await expect(page.getByLabel("Verdict")).toContainText("Verified: all checks pass");
  await page.getByRole("link", { name: "Checks", exact: true }).click();
  await expect(page.getByRole("figure", { name: "Sheet Sheet1" }).getByRole("cell", { name: /^5/ })).toBeVisible();

  await page.getByRole("link", { name: "Dry run" }).click();
  const table = page.getByRole("region", { name: "Trace table" });
  for (const column of ["A1", "A2", "A3"])
    await expect(table.getByRole("columnheader", { name: column })).toBeVisible();
});
