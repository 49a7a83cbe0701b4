import { demoLoaded } from "../tools/wait-for-demo.mjs";

/** Waits, before the first test, until the demo's data is there: the server answers before that. */
export default (): Promise<void> => demoLoaded("http://127.0.0.1:4317/");
