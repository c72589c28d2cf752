import { same } from "../../project";
import type { Piece, Status } from "../../project";
import { made } from "../differences";
import type { Difference } from "../differences";
import { systemWords } from "../words";
import type { Pair } from "./face";

const isSuperseded = (status: Status | undefined): boolean => typeof status === "object";

const ofStatus = ({ before, after }: Pair): Difference[] => {
  const subject = { table: "pieces", id: before.piece.id } as const;
  const [was, is] = [before.piece.status ?? "draft", after.piece.status ?? "draft"];
  if (same(was, is)) return [];
  if (typeof is === "string" || isSuperseded(was))
    return [made("status-changed", { subject }, systemWords.statusChanged(after.piece.name, is))];
  const instead = is.supersededBy === null ? undefined : after.project.pieces[is.supersededBy];
  return [
    made(
      "component-superseded",
      { subject },
      systemWords.superseded(after.piece.name, instead?.name ?? null),
    ),
  ];
};

const about = ({ about: said = {} }: Piece): readonly string[] =>
  [said.description, said.use, said.avoid].map((text) => text?.trim() ?? "");

/** How what is written about a component differs: its name, status, description and samples. */
export const writtenDifferences = (pair: Pair): Difference[] => {
  const { piece: was } = pair.before;
  const { piece: is } = pair.after;
  const subject = { table: "pieces", id: was.id } as const;
  return [
    ...(was.name === is.name
      ? []
      : [made("component-renamed", { subject }, systemWords.componentRenamed(was.name, is.name))]),
    ...ofStatus(pair),
    ...(same(about(was), about(is))
      ? []
      : [made("description-changed", { subject }, systemWords.descriptionChanged(is.name))]),
    ...(same(was.samples, is.samples)
      ? []
      : [made("samples-changed", { subject }, systemWords.samplesChanged(is.name))]),
  ];
};
