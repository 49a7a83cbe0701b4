import { runPseudocode } from "../../core/interpreters/pseudocode/run.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import type { TryReply, TryRequest } from "./request.ts";

// Each run has a worker of its own, which is ended after it: nothing of one outlives it.
self.addEventListener("message", ({ data }: MessageEvent<TryRequest>) => {
  const { program, input, rules } = data;
  const { outcome } = runPseudocode({ program, fileName: "program.pseudo", input, rules });
  const reply: TryReply = {
    text: consoleText(outcome.console, ["out", "in", "err"]),
    finished: outcome.finished,
    inputRanOut: outcome.inputRanOut,
  };
  self.postMessage(reply);
});
