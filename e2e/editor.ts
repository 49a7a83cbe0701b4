import type { Page } from "@playwright/test";

/**
 * Puts a text into the editor that has the focus of the page, as a person would by selecting all and typing over it.
 */
export async function writeProgram(page: Page, label: string, text: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).click();
  await page.keyboard.press("Control+a");
  await page.keyboard.insertText(text);
}
