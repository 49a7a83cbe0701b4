import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";
import { openDemoCase } from "./demo.ts";

const chart = `1: INPUT "Cars? ", cars
2? cars > 4
3: OUTPUT "The deck is full"
4: OUTPUT "Go aboard"
begin -> 1
1 -> 2
2 yes -> 3
2 no -> 4
3 -> end
4 -> end
`;

test("a chart in words is refused with its line, mended, taken in as a program, and gone through on its boxes", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByLabel("Program", { exact: true }).fill(chart.replace("4 -> end\n", ""));
  await page.getByLabel("What is the program for?").fill("Up to four cars go aboard.");
  await page.getByLabel("Typed in").fill("4\n");
  await page.getByLabel("Should come out").fill("Cars? Go aboard\n");
  await page.getByLabel("Came out instead").fill("Cars? The deck is full\n");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await expect(page.getByText("Line 4: No arrow leads away from 4.")).toBeVisible();

  await page.getByLabel("Program", { exact: true }).fill(chart);
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await page.waitForURL(/\/cases\/\w+/);
  await expect(page.getByText("IF cars > 4 THEN").first()).toBeVisible();
  await page.getByRole("link", { name: "Chart", exact: true }).click();
  const drawn = page.getByRole("img", { name: "Flowchart: The program" });
  await expect(drawn).toBeVisible();
  await expect(drawn.getByText("cars > 4", { exact: true })).toBeVisible();
  await expect(page.getByText("cars > 4 – yes: OUTPUT", { exact: false })).toBeAttached();
  // The same engine runs in the browser; what takes too long is ended there.
  const here = page.getByRole("region", { name: "Try it here" });
  await here.getByLabel("Try it with this typed in").fill("9");
  await here.getByRole("button", { name: "Run it here" }).click();
  await expect(here.getByLabel("What came out")).toHaveText("Cars? 9\nThe deck is full\n");
  await here.getByLabel("Try it with this typed in").fill("");
  await here.getByRole("button", { name: "Run it here" }).click();
  await expect(here.getByRole("status")).toHaveText("It asked for more than was typed in.");
  await page.getByLabel("The program written otherwise").selectOption("python");
  await expect(page.getByText("if cars > 4:")).toBeVisible();
  await page.getByLabel("The program written otherwise").selectOption("set");
  await expect(page.getByText('DISPLAY "Go aboard"')).toBeVisible();
  await noBarriers(page);

  await page.getByRole("link", { name: "Dry run on the chart" }).click();
  const says = page.getByRole("region", { name: "The flowchart" }).getByRole("status");
  const next = page.getByRole("button", { name: "Next line" });
  for (const box of ['INPUT "Cars? ", cars', "cars > 4", 'OUTPUT "Go aboard"']) {
    await expect(says).toHaveText(`At the box: ${box}`);
    await next.click();
  }
  await expect(says).toHaveText("At the box: End");
  await noBarriers(page);
  await page.getByRole("radio", { name: "listing" }).check();
  await expect(page.getByLabel("The program in the dry run")).toBeVisible();
});

test("a program without an end is ended in the browser", async ({ page }) => {
  await page.goto("/");
  await page
    .getByLabel("Program", { exact: true })
    .fill("cars ← 1\nWHILE cars > 0 DO\n    cars ← cars + 1\nENDWHILE\n");
  await page.getByLabel("What is the program for?").fill("Count the cars.");
  await page.getByLabel("Should come out").fill("9\n");
  await page.getByLabel("Came out instead").fill("nothing");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await page.waitForURL(/\/cases\/\w+/);
  await page.getByRole("link", { name: "Chart", exact: true }).click();
  const here = page.getByRole("region", { name: "Try it here" });
  await here.getByRole("button", { name: "Run it here" }).click();
  await here.getByRole("button", { name: "Stop it" }).click();
  await expect(here.getByRole("status")).toContainText("It was ended");
});

test("a routine has its own chart, which the dry run turns to; another value is put in on the way", async ({
  page,
}) => {
  await openDemoCase(page, "Lorries taken on in pseudocode");
  await page.getByRole("link", { name: "Chart", exact: true }).click();
  await expect(page.getByRole("img", { name: "Flowchart: take_on" })).toBeVisible();
  await page.getByRole("link", { name: "Dry run on the chart" }).click();
  await page.getByRole("textbox", { name: "Pass" }).fill("2");
  await page.getByRole("button", { name: "To this pass" }).click();
  await expect(page.getByText("about to run: line 7")).toBeVisible();
  await page.getByRole("button", { name: "Step into" }).click();
  await page.getByRole("button", { name: "Next line" }).click();
  await expect(page.getByRole("img", { name: "Flowchart: take_on" })).toBeVisible();
  await expect(page.getByRole("region", { name: "The flowchart" }).getByRole("status")).toHaveText(
    "At the box: load ← load + more",
  );
  const whatIf = page.getByRole("region", { name: "What if" });
  await whatIf.getByLabel("Variable").fill("more");
  await whatIf.getByLabel("is", { exact: true }).fill("100");
  await whatIf.getByRole("button", { name: "Run on from here" }).click();
  await expect(page.getByText("Aboard: 121").first()).toBeVisible();
});
