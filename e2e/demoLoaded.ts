/** Waits, before the first test, until the demo's data is there: the server answers before that. */
export default async function demoLoaded(): Promise<void> {
  const address = "http://127.0.0.1:4317/";
  for (let look = 0; look < 300; look++) {
    const page = await (await fetch(address)).text();
    if (page.includes("Loading broke off")) throw new Error("the demo was not loaded");
    if (!page.includes("The demo is being loaded")) return;
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
  throw new Error("the demo was not loaded in time");
}
