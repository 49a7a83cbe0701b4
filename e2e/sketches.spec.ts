import { expect, test } from "@playwright/test";
import { noBarriers } from "./axe.ts";

const gauge = `float level = 20;
boolean rising;
void setup() {
  size(120, 80);
}
void draw() {
  background(255);
  if (rising) {
    rect(0, height - level, width, level);
    level = level + 1;
  }
}
void keyPressed() {
  println("key " + key);
}
`;
const mended = gauge.replace("boolean rising;", "boolean rising = true;");

test("an empty drawing area: why it is empty, frames beside each other, what the user does, the picture of a dry run", async ({
  page,
}) => {
  await page.goto("/");
  await page.getByLabel("Program", { exact: true }).fill(gauge);
  await page.getByLabel("What is the program for?").fill("The gauge at the slip");
  await page.getByLabel("Typed in").fill("frame 4\nkey n\nframe 12\n");
  await page.getByLabel("Should come out").fill("key n\npicture drawn = yes\npicture rects = 1\n");
  await page.getByLabel("Came out instead").fill("key n");
  await page.getByRole("button", { name: "Take it in and run it" }).click();
  await expect(page.getByRole("heading", { name: "The gauge at the slip" })).toBeVisible();
  await expect(page.getByText("Drawing sketch · version 1 of 1")).toBeVisible();
  await expect(page.getByRole("region", { name: "Proposal" })).toContainText("logic error");
  await expect(page.getByText("“rising” keeps the value that it begins with here").first()).toBeVisible();
  const drawing = page.getByRole("figure", { name: "Drawing of the run as handed in" });
  await expect(drawing).toContainText("120 × 80, 12 frames");
  await expect(drawing).toContainText("Nothing is seen in the drawing area: no shape was drawn");
  await noBarriers(page);

  await page.getByRole("link", { name: "Mend", exact: true }).click();
  await page.getByRole("button", { name: "Accept" }).first().click();
  await page.getByLabel("Copy of the program", { exact: true }).click();
  await page.keyboard.press("Control+a");
  await page.keyboard.insertText(mended);
  await page.getByRole("button", { name: "Run again" }).click();
  await expect(page.getByLabel("Verdict")).toContainText("Verified: all checks pass");
  await page.getByRole("link", { name: "Checks", exact: true }).click();
  await expect(drawing).toContainText("1 shape in the last");
  const shown = drawing.getByRole("img", { name: "What is drawn after frame 12" });
  await expect
    .poll(() => shown.evaluate((each: HTMLImageElement) => [each.naturalWidth, each.naturalHeight]))
    .toEqual([120, 80]);
  await drawing.getByRole("button", { name: "Frame 1", exact: true }).press("Enter");
  await expect(drawing.getByRole("img", { name: "What is drawn after frame 1", exact: true })).toBeVisible();
  const film = await page.request.get(
    (await drawing.getByRole("link", { name: "All frames as SVG" }).getAttribute("href")) ?? "",
  );
  expect(film.headers()["content-type"]).toContain("image/svg+xml");
  expect((await film.text()).match(/<text /g)).toHaveLength(12);

  await page.getByRole("button", { name: "Change" }).first().click();
  await page.getByLabel("What the user does").fill("frame 4\nprss n\n");
  await page.getByRole("button", { name: "Keep and run" }).click();
  await expect(page.getByText("Line 2 of what the user does is not understood").first()).toBeVisible();
  await expect(page.getByLabel("What the user does")).toHaveValue("frame 4\nprss n\n");
  await noBarriers(page);
  await page.getByRole("button", { name: "Leave as it was" }).click();

  await page.goto(page.url().replace(/\?.*$/, "/run"));
  const picture = page.getByRole("region", { name: "Picture so far" });
  await expect(picture.getByRole("img", { name: "Before the first frame" })).toBeVisible();
  await page.getByRole("button", { name: "To the end" }).click();
  await expect(picture.getByRole("img", { name: "After frame 12" })).toBeVisible();
  await expect(
    page.getByRole("region", { name: "Trace table" }).getByRole("columnheader", { name: "level" }),
  ).toBeVisible();
  await noBarriers(page);
});
