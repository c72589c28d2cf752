import { describe, expect, it } from "vitest";
import type { z } from "zod";
import type { Frozen } from "#core/basics";
import { emptyProject } from "#core/edit";
import { readProject } from "#core/project";
import type { Piece, Project } from "#core/project";
import type { pieceSchema, projectSchema } from "./schema";

type IsOneOf<A, B> = [A] extends [B] ? true : false;
type AreSame<A, B> = [IsOneOf<A, B>, IsOneOf<B, A>];

describe("the types of a project", () => {
  it("are what its schema takes, both ways", () => {
    // what is not so does not compile
    const ofPieces: AreSame<Frozen<z.infer<typeof pieceSchema>>, Piece> = [true, true];
    const ofProjects: AreSame<Frozen<z.infer<typeof projectSchema>>, Project> = [true, true];
    expect([...ofPieces, ...ofProjects]).not.toContain(false);
    expect(readProject(emptyProject("Ferries"))).toMatchObject({ ok: true });
  });
});
