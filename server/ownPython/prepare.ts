import { makeOwnPython } from "./make.ts";

// Run when the product is built: packs the Python that runs in students' own browsers.
await makeOwnPython();
