import { AxeBuilder } from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";

/**
 * Fails if axe finds a barrier on the page as it stands once nothing is loading any more; `within` limits it to a part.
 */
export async function noBarriers(page: Page, within = "html"): Promise<void> {
  await page.waitForLoadState("networkidle");
  // What holds is not asked for, node by node; and a page of one frame is looked through where it is, with no second page for what was found.
  const axe = new AxeBuilder({ page })
    .include(within)
    .options({ resultTypes: ["violations"] })
    .setLegacyMode(page.frames().length === 1);
  const { violations } = await axe.analyze();
  expect(
    violations.map(
      (violation) =>
        `${violation.id}: ${violation.nodes.map((node) => `${node.target.join(" ")} ${node.failureSummary ?? ""}`).join(", ")}`,
    ),
  ).toEqual([]);
}
