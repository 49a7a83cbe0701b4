import { defineConfig } from "@playwright/test";
import { browserTestsOfOtherDays } from "./tools/inTurn.ts";

const port = 4317;

/** The real interface over the real server, database and translators; one server with fresh demo data for all files. */
export default defineConfig({
  testDir: "e2e",
  testIgnore: browserTestsOfOtherDays(process.argv.slice(3)).map((file) => `**/${file}`),
  globalSetup: "./e2e/demoLoaded.ts",
  timeout: 400_000,
  // A run may take its five seconds of wall time, and be recorded after that.
  expect: { timeout: 60_000 },
  workers: 2,
  reporter: [["list"], ["json", { outputFile: ".reports/browser.json" }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env.BENT_NAIL_CHROMIUM ?? "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
  webServer: {
    command: `bin/bent-nail demo --port ${port}`,
    url: `http://127.0.0.1:${port}/`,
    timeout: 300_000,
    env: {
      // The machine is the tests' own; whole sets are looked at by a test of their own.
      BENT_NAIL_SEARCH_SETS: "off",
      BENT_NAIL_DEMO_DATA: "test-results/demo-data",
      BENT_NAIL_LOG: "warn",
    },
    gracefulShutdown: { signal: "SIGTERM", timeout: 5000 },
  },
});
