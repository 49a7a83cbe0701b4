import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { openRoomServer, roomArguments } from "./roomServer.ts";

test.use({
  launchOptions: { executablePath: process.env.BENT_NAIL_CHROMIUM ?? "/usr/bin/chromium", args: roomArguments },
});

test("a backup taken while a student types is brought back on another computer, where the student goes on", async ({
  browser,
}, info) => {
  const [here, there] = [await openRoomServer(4320), await openRoomServer(4321)];
  try {
    const student = await here.student(browser, 0);
    const program = student.getByRole("textbox", { name: "Program to be mended" });
    await program.press("Control+End");
    await program.pressSequentially("# written here");
    await expect(student.getByText("All answers are saved. The last one at")).toBeVisible();
    const teacher = await here.teacher(browser);
    await teacher.goto("/backups");
    const [download] = await Promise.all([
      teacher.waitForEvent("download"),
      teacher.getByRole("link", { name: "Take a backup now" }).click(),
    ]);
    const file = join(info.outputDir, "backup.zip");
    await download.saveAs(file);

    const other = await there.teacher(browser);
    await other.goto("/backups");
    await other.getByLabel("The file of a backup").setInputFiles(file);
    await other.getByRole("button", { name: "See what it would do" }).click();
    await expect(other.getByText("holds 1 course, 4 students", { exact: false })).toBeVisible();
    await expect(other.getByText("would take the place of all of this", { exact: false })).toBeVisible();
    await other.getByRole("button", { name: "Bring it back at the next start" }).click();
    await expect(other.getByText("It is brought back when Bent Nail is next started.")).toBeVisible();
    await there.kill();
    await there.start();

    // The other computer had codes of its own; now those of the first one hold.
    const page = await (await browser.newContext({ baseURL: there.base })).newPage();
    await page.goto(`/s/${here.data.code}`);
    await page.getByLabel("Your label").selectOption("S-01");
    await page.getByLabel("Your personal code").fill(here.data.students[0]?.code ?? "");
    await page.getByRole("button", { name: "Begin" }).click();
    await expect(page.getByRole("textbox", { name: "Program to be mended" })).toContainText("# written here");
    await page.goto(`/s/${there.data.code}`);
    await expect(page.getByText("There is no sheet with this code", { exact: false })).toBeVisible();
  } finally {
    await Promise.all([here.close(), there.close()]);
  }
});
