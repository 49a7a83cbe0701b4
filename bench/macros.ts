import { spawnSync } from "node:child_process";
import { copyFileSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { limitsSchema } from "../core/outcome/outcome.ts";
import { productFolder } from "../server/productFolder.ts";
import { createToolchains } from "../server/toolchains/toolchains.ts";
import type { Measure } from "./measure.ts";

const many = 40;

/** A macro of about fifteen lines that fills cells; each one another text. */
const macro = (number: number) => `Sub Main
  Dim sheet As Object
  Dim row As Integer, total As Integer
  sheet = ThisComponent.Sheets.getByIndex(0)
  For row = 0 To 9
    sheet.getCellByPosition(0, row).Value = row * ${number + 1}
    If row Mod 2 = 0 Then
      total = total + sheet.getCellByPosition(0, row).Value
    Else
      sheet.getCellByPosition(1, row).String = "odd"
    End If
  Next row
  sheet.getCellRangeByName("C1").Formula = "=SUM(A1:A10)"
  sheet.getCellRangeByName("C2").Value = total
End Sub
`;
const texts = Array.from({ length: many }, (_, number) => macro(number));

/** Seconds that so many plain calls take in an office that is up. */
function plainCalls(): number {
  const folder = mkdtempSync(join(tmpdir(), "bent-nail-bench-"));
  copyFileSync(join(productFolder, "runners/macro/start.py"), join(folder, "start.py"));
  copyFileSync(join(productFolder, "bench/macro/bent_nail_macro.py"), join(folder, "bent_nail_macro.py"));
  const environment = { PATH: "/usr/bin:/bin", LANG: "C.UTF-8", LC_ALL: "C.UTF-8" };
  const { stdout } = spawnSync("/usr/bin/python3", [join(folder, "start.py"), JSON.stringify(texts)], {
    ...{ encoding: "utf8", env: environment, timeout: 120_000 },
  });
  rmSync(folder, { recursive: true, force: true });
  return Number(stdout);
}

/** Macros judged one after another in one office, against plain calls of the same texts in one. */
export async function benchMacros(): Promise<Measure[]> {
  const toolchains = createToolchains();
  const toolchain = toolchains.find("basic-macro");
  const request = {
    files: [{ name: "macro.bas", bytes: new Uint8Array() }],
    ...{ input: "", limits: limitsSchema.parse({}), hurried: true },
  };
  const seconds = async (own: readonly string[]): Promise<number> => {
    const begun = performance.now();
    const told = await toolchain?.runMany?.(
      request,
      own.map((text) => ({ main: Buffer.from(text), input: "" })),
      100,
    );
    if (!told?.every((outcome) => outcome?.finished)) throw new Error("a macro did not come to its end");
    return (performance.now() - begun) / 1000;
  };
  await seconds(texts.slice(0, 1));
  // The start of the office is the same for one macro as for many.
  const rounds: Array<{ ours: number; plain: number }> = [];
  for (let round = 0; round < 3; round += 1)
    rounds.push({ ours: (await seconds([macro(100), ...texts])) - (await seconds([macro(100)])), plain: plainCalls() });
  await toolchains.close();
  const least = (of: (round: (typeof rounds)[number]) => number) => Math.min(...rounds.map(of));
  return [
    {
      work: `${many} macros judged in one office that is up`,
      against: "plain calls of them in one office",
      ...{ value: least(({ ours }) => ours) / least(({ plain }) => plain), unit: "x", atMost: 1.5 },
    },
  ];
}
