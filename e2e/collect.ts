import { expect, type Page } from "@playwright/test";

/** Collects a program by the form and waits for its page. */
export async function collect(
  page: Page,
  program: string,
  rest: { expected?: string; errorOutput?: string; symptom?: string } = {},
): Promise<void> {
  await page.goto("/");
  await page.getByLabel("Program", { exact: true }).fill(program);
  if (rest.errorOutput) await page.getByLabel("Error output, as it was shown").fill(rest.errorOutput);
  if (rest.expected) {
    await page.getByLabel("Should come out").fill(rest.expected);
    await page.getByLabel("Came out instead").fill("something else");
  }
  if (rest.symptom) await page.getByRole("radio", { name: rest.symptom }).check();
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  // Its page comes when it has run; how long that takes beside other work says nothing of it.
  await expect(page).toHaveURL(/cases\//, { timeout: 60_000 });
}
