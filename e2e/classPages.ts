import { expect, type Page } from "@playwright/test";

/** A course of its own with labels; gives the address of its page. */
export async function newCourse(page: Page, name: string, labels: string[]): Promise<string> {
  await page.goto("/courses");
  await page.getByLabel("Name").fill(name);
  await page.getByRole("button", { name: /Add|Make/ }).click();
  await page.waitForURL(/courses\/\w+/);
  await page.getByLabel("Labels of more students, one a line").fill(labels.join("\n"));
  await page.getByRole("button", { name: "Add them" }).click();
  await expect(page.getByText(`${labels.length} added.`)).toBeVisible();
  return page.url();
}

/** Drops a file on the page as a hand would. */
export async function drop(page: Page, name: string, bytes: Buffer): Promise<void> {
  const transfer = await page.evaluateHandle(
    ([file, base64]) => {
      const data = new DataTransfer();
      data.items.add(new File([Uint8Array.from(atob(base64 ?? ""), (sign) => sign.charCodeAt(0))], file ?? ""));
      return data;
    },
    [name, bytes.toString("base64")],
  );
  await page.getByText("Drop it here").dispatchEvent("drop", { dataTransfer: transfer });
}
