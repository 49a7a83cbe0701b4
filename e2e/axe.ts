import { AxeBuilder } from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";

/**
 * Fails if axe finds a barrier on the page as it stands once nothing is loading any more; `within` limits it to a part.
 */
export async function noBarriers(page: Page, within = "html"): Promise<void> {
  await page.waitForLoadState("networkidle");
  const { violations } = await new AxeBuilder({ page }).include(within).analyze();
  expect(
    violations.map(
      (violation) =>
        `${violation.id}: ${violation.nodes.map((node) => `${node.target.join(" ")} ${node.failureSummary ?? ""}`).join(", ")}`,
    ),
  ).toEqual([]);
}
