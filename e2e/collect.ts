import { expect, type Page } from "@playwright/test";

/** Collects a program by the form, without naming its language, and waits for its page. */
export async function collect(
  page: Page,
  program: string,
  rest: { intent?: string; input?: string; expected?: string; errorOutput?: string; symptom?: string } = {},
): Promise<void> {
  await page.goto("/");
  await page.getByLabel("Program", { exact: true }).fill(program);
  if (rest.intent) await page.getByLabel("What is the program for?").fill(rest.intent);
  if (rest.input) await page.getByLabel("Typed in").fill(rest.input);
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
