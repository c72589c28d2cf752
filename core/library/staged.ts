import { entryOf } from "../basics";
import type { Id } from "../basics";
import { newPiece } from "../edit";
import { BASE, ROOT } from "../project";
import type { Piece, Project, Sample } from "../project";

/** The piece that holds a sample's copy; no piece people make has such an id. */
export const STAGE = "~sample";

/** A piece with nothing in it but a copy of a component, given traits and options. */
const stageOf = (component: Id, values: Sample["values"]): Piece => {
  const empty = newPiece("component", "", "a0", STAGE);
  return {
    ...empty,
    layers: {
      ...empty.layers,
      copy: { id: "copy", kind: "instance", name: "", parent: ROOT, order: "a0" },
    },
    looks: {
      [BASE]: {
        id: BASE,
        when: {},
        order: "a0",
        changes: {
          [ROOT]: { widthMode: "fit", heightMode: "fit" },
          copy: { component, ...values },
        },
      },
    },
  };
};

const staged = new WeakMap<Project, Map<string, Project>>();

/** A project in which a sample of a component can be played, as the piece `STAGE`. */
export const stagedSample = (project: Project, component: Id, values: Sample["values"]): Project =>
  entryOf(
    entryOf(staged, project, () => new Map<string, Project>()),
    `${component} ${JSON.stringify(values)}`,
    () => ({
      ...project,
      pieces: { ...project.pieces, [STAGE]: stageOf(component, values) },
    }),
  );
