/**
 * Waits until the demo at an address is loaded whole: its server answers before that, and its pages say how far it is.
 * `patience`: milliseconds without progress after which it is given up. Throws where the loading broke off or stands still.
 */
export async function demoLoaded(address, patience = 600_000, between = 500) {
  let [said, since] = ["", Date.now()];
  for (;;) {
    const page = await (await fetch(address)).text();
    if (page.includes("Loading broke off")) throw new Error("the demo was not loaded: its loading broke off");
    const progress = /The demo is being loaded[^.]*/.exec(page)?.[0];
    if (progress === undefined) return;
    if (progress !== said) [said, since] = [progress, Date.now()];
    else if (Date.now() - since > patience) throw new Error("the demo was not loaded: it does not go on");
    await new Promise((resolve) => setTimeout(resolve, between));
  }
}
