import { execFile } from "node:child_process";
import { mkdtemp, readFile, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { promisify } from "node:util";
import { expect, type Page } from "@playwright/test";

/** The labels of the students of the class set. */
export const classLabels = Array.from({ length: 24 }, (_, index) => `S-${String(index + 1).padStart(2, "0")}`);

/** The zip of a class of 24 with their programs and error outputs. */
export async function classSet(): Promise<Buffer> {
  const folder = await mkdtemp(join(tmpdir(), "bent-nail-"));
  try {
    const path = join(folder, "deck-loads.zip");
    await promisify(execFile)("node", ["tools/make-class-set.mjs", path]);
    return await readFile(path);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

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
