import { beforeAll, describe, expect, it } from "vitest";
import type { LayoutEnv } from "#core/layout";
import { inOrder } from "#core/project";
import { rehearse, stepText } from "#core/rehearse";
import { testEnv } from "../tests/support/env";
import { kelpwayKit } from "./index";

let env: LayoutEnv;
beforeAll(async () => { env = await testEnv(); });

describe("the kit's rehearsals", () => {
  const kit = kelpwayKit();
  for (const piece of inOrder(kit.pieces)) for (const { name, steps } of inOrder(piece.rehearsals)) {
    it(`${piece.name}: ${name}`, () => {
      const failure = rehearse(env, kit, piece.id, steps), step = failure && steps[failure.step];
      expect(failure && step && `${stepText(kit, piece, step)}: ${failure.why}`).toBeNull();
    });
  }
});
