import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";

const program = `loads = [4, 5, 9]
total = 0
for load in loads:
    total = load
print("Total:", total)
`;

test("a small change is found while the case is looked at, leads to the faulty line, and is taken", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByLabel("Program", { exact: true }).fill(program);
  await page.getByLabel("Should come out").fill("Total: 18\n");
  await page.getByLabel("Came out instead").fill("Total: 9");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  // Programs are tried behind the page, after what other people wait for.
  await expect(page.getByRole("link", { name: "Another fix" })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole("region", { name: "The program" })).toContainText(
    "After a small change here its check passes",
  );
  await page.getByRole("link", { name: "Another fix" }).click();
  const found = page.getByRole("region", { name: "Small changes that were found" });
  await expect(found).toContainText("It passes its only check");
  await noBarriers(page);
  await found.getByRole("button", { name: "Take this change" }).first().click();
  await expect(page.getByText("Verified: all checks pass on version 2.")).toBeVisible();
  await expect(page.getByText("that it was found by a search stays written")).toBeVisible();
  await page.getByRole("link", { name: "Versions" }).click();
  await expect(page.getByText("mended by a change that was found")).toBeVisible();
});
