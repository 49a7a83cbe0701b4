// Adds up what the unit and the browser tests reported, prints the closing line, and fails if anything failed.
import { existsSync, readFileSync } from "node:fs";

const failedSteps = process.argv.slice(2);
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
// Where the time goes: the files of unit tests that took longest, in seconds.
const slowest = (unit?.testResults ?? [])
  .map((file) => ({
    name: file.name.replace(`${process.cwd()}/`, ""),
    seconds: (file.endTime - file.startTime) / 1000,
  }))
  .sort((one, other) => other.seconds - one.seconds)
  .slice(0, 20);
if (slowest.length > 0) console.log("the slowest files of unit tests:");
for (const { name, seconds } of slowest) console.log(`${seconds.toFixed(1).padStart(7)} s  ${name}`);
// A step that fell over without counting a failed test (types, lint, a crash) counts as one.
if (failed === 0) failed = failedSteps.length;
if (!unit || !browser) failed += 1;
if (failedSteps.length > 0) console.log(`steps that failed: ${failedSteps.join(", ")}`);
console.log(`tests: ${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
