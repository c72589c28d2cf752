import { beforeAll, describe, expect, it } from "vitest";
import { checked } from "#core/checks";
import type { LayoutEnv } from "#core/layout";
import { inOrder } from "#core/project";
import { rehearse, stepText } from "#core/rehearse";
import { testEnv } from "../tests/support/env";
import { kelpwayKit } from "./index";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

describe("the kit's rehearsals", () => {
  const kit = kelpwayKit();
  for (const piece of inOrder(kit.pieces))
    for (const { name, steps } of inOrder(piece.rehearsals)) {
      it(`${piece.name}: ${name}`, () => {
        const failure = rehearse(env, kit, piece.id, steps);
        const step = failure && steps[failure.step];
        expect(failure && step && `${stepText(kit, piece, step)}: ${failure.why}`).toBeNull();
      });
    }
});

describe("the kit's checks", () => {
  const kit = kelpwayKit();
  it("find nothing but five one-way streets, which are meant so and accepted with a reason", () => {
    const found = Object.values(kit.pieces).map((piece) => ({
      piece,
      ...checked(env, kit, piece.id),
    }));
    expect(found.filter((c) => !c.whole).map((c) => c.piece.name)).toEqual([]);
    expect(
      found.flatMap((c) =>
        c.findings.filter((f) => !c.piece.accepted[f.id]).map((f) => `${c.piece.name}: ${f.text}`),
      ),
    ).toEqual([]);
    expect(
      found.flatMap((c) =>
        Object.keys(c.piece.accepted).map((id) => [
          c.piece.id,
          c.findings.some((f) => f.id === id),
        ]),
      ),
    ).toEqual([
      ["send-ticket-button", true],
      ["service-notice", true],
      ["service-notice", true],
      ["crew-chat", true],
      ["welcome", true],
    ]);
  });
});
