// Lays the page on the bench that this browser's person has chosen (app/components/BenchChoices.tsx), before it is drawn.
try {
  const [bench, type] = (localStorage.getItem("bent-nail bench") ?? "").split(" ");
  if (bench === "night") document.documentElement.dataset.bench = "night";
  if (type === "large" || type === "larger") document.documentElement.dataset.type = type;
} catch {
  // A browser that keeps nothing has the usual one.
}
