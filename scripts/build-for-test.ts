import { join } from "node:path";
import { build } from "./build.ts";
import { root } from "./serve.ts";

// into the folder of this test run, with the mark of what it was built from, so that nothing builds
// it again
build(process.env.NUBBLE_BUILD ?? join(root, "build"));
