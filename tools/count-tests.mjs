// Adds up what the unit and the browser tests reported, prints the closing line, and fails if anything failed.
import { existsSync, readFileSync } from "node:fs";

const failedSteps = Number(process.argv[2] ?? 0);
let passed = 0;
let failed = 0;
const read = (path) => (existsSync(path) ? JSON.parse(readFileSync(path, "utf8")) : null);
const unit = read(".reports/unit.json");
const browser = read(".reports/browser.json");
if (unit) {
  passed += unit.numPassedTests;
  failed += unit.numFailedTests;
}
if (browser) {
  passed += browser.stats.expected;
  failed += browser.stats.unexpected + browser.stats.flaky;
}
// A step that fell over without counting a failed test (types, lint, a crash) counts as one.
if (failedSteps > 0 && failed === 0) failed = failedSteps;
if (!unit || !browser) failed += 1;
console.log(`tests: ${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
