import { pictureAt } from "../core/outcome/drawing.ts";
import { limitsSchema } from "../core/outcome/outcome.ts";
import { filmSvg, pictureSvg } from "../core/outcome/pictureSvg.ts";
import { createToolchains } from "../server/toolchains/toolchains.ts";
import type { Measure } from "./measure.ts";

const frames = 60;

/** A harbour with forty boats, each a box and a sail, that move with every frame. */
const sketch = `void setup() {
  size(400, 240);
}
void draw() {
  background(20, 60, 100);
  for (int boat = 0; boat < 40; boat++) {
    float x = (boat * 37 + frameCount * (1 + boat % 3)) % width;
    float y = 20 + boat * 5.5;
    fill(200, boat * 6, 40);
    rect(x, y, 14, 5);
    triangle(x + 6, y, x + 6, y - 10, x + 12, y);
  }
}
`;

/** Pictures of a run as SVG, against the run itself. */
export async function benchSketches(): Promise<Measure[]> {
  const toolchains = createToolchains();
  const toolchain = toolchains.find("sketch");
  const request = {
    files: [{ name: "harbour.sketch", bytes: Buffer.from(sketch) }],
    ...{ input: `frame ${frames}\n`, limits: limitsSchema.parse({}) },
  };
  const rounds: Array<{ run: number; film: number; every: number }> = [];
  for (let round = 0; round < 5; round += 1) {
    const begun = performance.now();
    const outcome = await toolchain?.run(request);
    const ran = performance.now();
    const drawing = outcome?.drawing;
    if (!drawing || drawing.last !== frames) throw new Error("the sketch did not come to its last frame");
    filmSvg(drawing);
    const filmed = performance.now();
    for (let frame = 1; frame <= frames; frame += 1) pictureSvg(pictureAt(drawing, frame));
    rounds.push({ run: ran - begun, film: filmed - ran, every: performance.now() - filmed });
  }
  await toolchains.close();
  const least = (of: (round: (typeof rounds)[number]) => number) => Math.min(...rounds.map(of));
  const against = "the run that drew them";
  return [
    {
      work: `${frames} frames in one SVG`,
      against,
      value: least(({ film }) => film) / least(({ run }) => run),
      unit: "x",
      atMost: 1,
    },
    {
      work: `${frames} frames as an SVG each`,
      ...{ against, value: least(({ every }) => every) / least(({ run }) => run), unit: "x", atMost: 1 },
    },
  ];
}
