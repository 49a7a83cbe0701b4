import { expect, type Page, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";
import { openRoomServer, roomArguments } from "./roomServer.ts";

test.use({
  launchOptions: { executablePath: process.env.BENT_NAIL_CHROMIUM ?? "/usr/bin/chromium", args: roomArguments },
});

let room: Awaited<ReturnType<typeof openRoomServer>>;
test.beforeAll(async () => {
  room = await openRoomServer(4318);
});
test.afterAll(() => room.close());

const row = (teacher: Page, label: string) => teacher.getByRole("row", { name: new RegExp(label) });
const editor = (page: Page) => page.getByRole("textbox", { name: "Program to be mended" });

/** Types at the end of the program of a student's page. */
async function type(page: Page, text: string): Promise<void> {
  await editor(page).press("Control+End");
  await editor(page).pressSequentially(text);
}

/** What is kept in a browser's own database and not acknowledged yet. */
const unsent = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const asked = indexedDB.open("bent-nail");
        asked.onsuccess = () => {
          const counted = asked.result.transaction("drafts").objectStore("drafts").count();
          counted.onsuccess = () => {
            asked.result.close();
            resolve(counted.result);
          };
        };
      }),
  );

test("a lesson over plain HTTP: offline and back, two tabs, the word, the bell, and what came late", async ({
  browser,
}) => {
  const teacher = await room.teacher(browser);
  await teacher.goto(`/sheets/${room.data.sheet}/room`);
  await expect(row(teacher, "S-01")).toContainText("not begun");
  await noBarriers(teacher);
  const [one, two] = [await room.student(browser, 0), await room.student(browser, 1)];
  for (const page of [teacher, one, two]) expect(await page.evaluate(() => isSecureContext)).toBe(false);
  await expect(row(teacher, "S-01")).toContainText("here");
  await noBarriers(one);

  // Offline: kept in the browser, said so, sent later.
  await one.context().setOffline(true);
  await type(one, "# offline");
  await expect(one.getByText("kept in this browser")).toBeVisible();
  expect(await unsent(one)).toBe(1);
  await one.context().setOffline(false);
  await expect(one.getByText("All answers are saved. The last one at")).toBeVisible();
  expect(await unsent(one)).toBe(0);
  await expect(row(teacher, "S-01")).toContainText("1. Mend the program");
  await expect(row(teacher, "S-01")).toContainText("1 of 2");

  // Two tabs of one browser hold the same.
  const tab = await two.context().newPage();
  await tab.goto(`/s/${room.data.code}`);
  await type(two, "# first tab");
  await expect(editor(tab)).toContainText("# first tab");
  await type(tab, ", second tab");
  await expect(editor(two)).toContainText("# first tab, second tab");
  await expect(two.getByText("All answers are saved. The last one at")).toBeVisible();
  await expect(two.getByRole("alert")).toHaveCount(0);

  // A word to all, a pause, and on again.
  await teacher.getByLabel("A word to all").fill("Look at line 3.");
  await teacher.getByRole("button", { name: "Say it" }).click();
  await expect(one.getByText("Look at line 3.")).toBeVisible();
  await teacher.getByRole("button", { name: "Pause all" }).click();
  await expect(one.getByText("Look up: your teacher has something to say.")).toBeVisible();
  await expect(editor(one)).toHaveCount(0);
  await teacher.getByRole("button", { name: "Go on", exact: true }).click();
  await expect(editor(one)).toContainText("# offline");

  // The bell, while one is offline and types.
  await teacher.getByLabel("The bell, in minutes").fill("1");
  await teacher.getByRole("button", { name: "Set it" }).click();
  await expect(two.getByText(/ left, until /)).toBeVisible();
  await expect(two.getByText("is handed in by itself, also while you are typing")).toBeVisible();
  await one.context().setOffline(true);
  await type(one, " and late");
  await expect(one.getByText("kept in this browser")).toBeVisible();
  await teacher.getByLabel("The bell, in minutes").fill("0");
  await teacher.getByRole("button", { name: "Set it" }).click();
  await expect(row(teacher, "S-02")).toContainText("handed in", { timeout: 30_000 });
  await expect(two.getByText("It was handed in by itself when the time was over")).toBeVisible();
  const receipt =
    (await two
      .getByText(/Receipt/)
      .locator("strong")
      .textContent()) ?? "";
  await expect(row(teacher, "S-02")).toContainText(receipt);
  await one.context().setOffline(false);
  await expect(one.getByText("your teacher decides whether it counts")).toBeVisible();
  expect(await unsent(one)).toBe(0);
  await expect(row(teacher, "S-01")).toContainText("1 answer came late.");
  await row(teacher, "S-01").getByRole("button", { name: "They count" }).click();
  await expect(teacher.getByText("S-01: 1 late answer count")).toBeVisible();

  // Once more for one, later for who was absent.
  await expect(teacher.getByRole("button", { name: "Open it again" })).toBeVisible();
  await row(teacher, "S-04").getByRole("button", { name: "Let them sit it later" }).click();
  const late = await room.student(browser, 3);
  await expect(editor(late)).toBeVisible();
  await row(teacher, "S-02").getByRole("button", { name: "Give back" }).click();
  await expect(editor(two)).toContainText("# first tab, second tab");
});

test("the server is killed while somebody types: kept, said, and there when it is back", async ({ browser }) => {
  const page = await room.student(browser, 3);
  await type(page, "# before");
  await expect(page.getByText("All answers are saved. The last one at")).toBeVisible();
  await room.kill();
  await type(page, ", meanwhile");
  await expect(page.getByText("kept in this browser")).toBeVisible();
  await room.start();
  await expect(page.getByText("All answers are saved. The last one at")).toBeVisible();
  await page.reload();
  await expect(editor(page)).toContainText("# before, meanwhile");
});

test("what two computers wrote is chosen from; the night bench is accessible, and what is printed is not dark", async ({
  browser,
}) => {
  const [here, there] = [await room.student(browser, 3), await room.student(browser, 3)];
  await type(here, "# here");
  await expect(here.getByText("All answers are saved. The last one at")).toBeVisible();
  await type(there, "# there");
  await expect(there.getByText("Another window or computer wrote this answer")).toBeVisible();
  await there.getByRole("button", { name: "Night bench" }).click();
  await noBarriers(there);
  await there.getByRole("button", { name: "The one below" }).click();
  await expect(there.getByText("All answers are saved. The last one at")).toBeVisible();
  await here.reload();
  await expect(editor(here)).toContainText("# there");
  await there
    .getByRole("button", { name: "Larger type" })
    .or(there.getByRole("button", { name: /Type is usual/ }))
    .click();
  expect(await there.evaluate(() => getComputedStyle(document.documentElement).fontSize)).toBe("20px");
});

test("what can be copied is copied without a secure context; the way in is shown large", async ({ browser }) => {
  const teacher = await room.teacher(browser);
  await teacher.goto(`/assignments/${room.data.assignment}`);
  await teacher.getByLabel("the hand-in page is open").check();
  await teacher.getByRole("button", { name: "Keep" }).last().click();
  const address = teacher.getByRole("button", { name: "Copy: Address for students" });
  await address.click();
  await expect(address).toHaveText("copied");
  await teacher.goto(`/sheets/${room.data.sheet}/room`);
  await teacher.getByLabel("A word to all").fill("");
  await teacher.getByLabel("A word to all").press("Control+v");
  await expect(teacher.getByLabel("A word to all")).toHaveValue(new RegExp(`^${room.base}/s/hand-in/`));
  await teacher.getByRole("link", { name: "Show the way in, large" }).click();
  await expect(teacher).toHaveURL(/door$/);
  await expect(teacher.getByText(room.data.code, { exact: true })).toBeVisible();
  await noBarriers(teacher);
});
