import { expect, type Page, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";

const program = `def berth(length):
    if length < 5 or length > 90:
        return 0
    return 1 + berth(length - 5)

total = 0
for boat in [4, 12, 7]:
    total = total + berth(boat)
print("Berths:", total)
`;

async function openRoom(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByLabel("Program", { exact: true }).fill(program);
  await page.getByLabel("What is the program for?").fill("Count berths of five metres.");
  await page.getByLabel("Should come out").fill("Berths: 6\n");
  await page.getByLabel("Came out instead").fill("Berths: 3\n");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await page.getByRole("link", { name: "Dry run" }).click();
  // By its key: a change that is found meanwhile moves what stands below the verdict.
  await page.getByRole("link", { name: "In a room of its own" }).press("Enter");
  await expect(page.getByRole("heading", { name: /^Dry run:/ })).toBeVisible();
}

test("a dry run in its own room: over a call, out of a recursion, to a pass, a line taken apart, breakpoints kept", async ({
  page,
}) => {
  const lookedUp: string[] = [];
  page.on("request", (request) => request.url().includes("__manifest") && lookedUp.push(request.url()));
  await openRoom(page);
  // Every address is known from the start: one looked up on the way would be lost where a search asks meanwhile.
  expect(lookedUp).toEqual([]);
  const stands = (line: number) => expect(page.getByText(`about to run: line ${line}`, { exact: true })).toBeVisible();
  const table = page.getByRole("region", { name: "Trace table" });
  const apart = page.getByRole("region", { name: "Expressions taken apart" });
  const next = page.getByRole("button", { name: "Next line" });
  await stands(6);
  await expect(page.getByRole("button", { name: "Step out" })).toBeDisabled();

  // The pass in which the recursion goes deeper: its line is taken apart before it runs.
  await page.getByRole("textbox", { name: "Pass" }).fill("2");
  await page.getByRole("button", { name: "To this pass" }).click();
  await stands(8);
  await expect(apart.getByText("0 + berth(12)")).toBeVisible();
  await expect(apart.getByText("berth(12) is 2")).toBeVisible();
  await next.press("i");
  await stands(1);
  await next.press("n");
  await stands(2);
  await expect(apart.getByText("12 < 5 is False")).toBeVisible();
  await apart.getByRole("radio", { name: "on paper: every part" }).check();
  await expect(apart.getByText("False or False is False")).toBeVisible();
  // Deeper by one call, and out of it again: the outer call's own value stands there again.
  for (const line of [4, 1]) {
    await next.press("n");
    await stands(line);
  }
  await next.press("n");
  await expect(table.getByText("berth(7)")).toBeVisible();
  await next.press("o");
  await stands(4);
  await next.press("n");
  await expect(table.getByRole("row").last()).toContainText("gives back 2");
  await next.press("o");

  // What is printed is not what is intended: there the first wrong character came.
  await page.getByRole("button", { name: "To the first wrong output" }).click();
  await stands(9);
  await expect(page.getByRole("region", { name: "Values now" }).getByText("total = 3")).toBeVisible();
  await page.getByRole("button", { name: "To where total changed last, line 8" }).click();
  await stands(8);

  const listing = page.getByLabel("The program in the dry run");
  await listing.getByRole("button", { name: /^line 3\b/ }).press("Enter");
  await page.getByRole("button", { name: "To the start" }).click();
  await page.getByRole("button", { name: "To next breakpoint" }).click();
  await stands(3);
  await noBarriers(page);
  await page.reload();
  await expect(listing.getByRole("button", { name: /^line 3, breakpoint/ })).toBeVisible();
  await page.getByRole("combobox", { name: "A row for each" }).selectOption("pass");
  // The room begins anew with its other rows.
  await expect(page).toHaveURL(/rows=pass/);
  await page.getByRole("button", { name: "To the end" }).click();
  await expect(table.getByRole("cell", { name: "Berths: 3" })).toBeVisible();
});

test("the room: levels of a recursion, values beside a line, a breakpoint with a condition, what is asked, what if", async ({
  page,
}) => {
  await openRoom(page);
  const stands = (line: number) => expect(page.getByText(`about to run: line ${line}`, { exact: true })).toBeVisible();
  const listing = page.getByLabel("The program in the dry run");
  // Only where it holds: in the second boat's inner calls the length is 7 and 2.
  await listing.getByRole("button", { name: /^line 2\b/ }).press("Enter");
  const condition = page.getByRole("textbox", { name: "Line 2, only when" });
  await condition.fill("length == 7");
  await condition.press("Enter");
  await expect(page.getByText("holds 2 of 6 times")).toBeVisible();
  await page.getByRole("button", { name: "To next breakpoint" }).click();
  await stands(2);
  const open = page.getByRole("region", { name: "Calls that are open" });
  await expect(open.getByRole("listitem")).toHaveText([/berth\(12\)/, /berth\(7\)\s*level 2/]);
  await expect(open.getByText("The base case was reached at level 1: berth(4).")).toBeVisible();
  await expect(page.getByRole("region", { name: "Console so far" })).toContainText("Nothing is printed");

  // Beside the line that is pointed at stands what its names hold, as they are seen from here.
  await listing.getByRole("button", { name: /^line 8\b/ }).hover();
  await expect(page.locator(".script-beside")).toHaveText("total = 0; boat = 12");
  const asked = page.getByRole("textbox", { name: "Work out here" });
  await asked.fill("(length - 5) * 2 > total");
  await asked.press("Enter");
  await expect(page.getByText("It comes to True, bool. Nothing was run for it.")).toBeVisible();

  const whatIf = page.getByRole("region", { name: "What if" });
  await whatIf.getByLabel("Variable").fill("length");
  await whatIf.getByLabel("is", { exact: true }).fill("3");
  await whatIf.getByRole("button", { name: "Run on from here" }).press("Enter");
  await expect(page.getByText("The program’s text is the same on both sides.")).toBeVisible();
  await expect(page.getByRole("status").filter({ hasText: "They part" })).toContainText(
    "berth: length: no change on the left (line 2), 3 on the right (line 2).",
  );
  await expect(page.getByLabel("columns that are alike")).toBeVisible();
  await noBarriers(page);
  await page.getByRole("link", { name: "Back to the dry run" }).click();
  // The condition is kept as the breakpoint is.
  await expect(condition).toHaveValue("length == 7");
  await noBarriers(page);
});

test("as handed in beside mended: where the two runs part is said, marked and reached", async ({ page }) => {
  await page.goto(`/casebook?text=${encodeURIComponent("Half fare up to 15")}`);
  await page.getByRole("link", { name: "Half fare up to 15" }).click();
  await page.getByRole("link", { name: "Dry run" }).click();
  await page.getByRole("link", { name: "Two runs side by side" }).click();
  await expect(page.getByRole("status").filter({ hasText: "They part at step 6" })).toContainText(
    "condition: false on the left (line 4), true on the right (line 4).",
  );
  const table = page.getByRole("region", { name: "Two runs side by side" });
  await expect(table.getByRole("cell", { name: "Fare: 12" })).toBeVisible();
  await expect(table.getByRole("cell", { name: "Fare: 6.0" })).toBeVisible();
  await page.getByRole("button", { name: "To where they part" }).click();
  await noBarriers(page);
  await page.getByRole("group", { name: "On the right" }).getByLabel("Version").selectOption({ index: 0 });
  await expect(page.getByText(/There is no difference for this input: \d+ steps/)).toBeVisible();
});
