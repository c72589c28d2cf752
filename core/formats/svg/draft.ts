import type { LayerKind, Value } from "../../properties";

/** A layer to be made, with those inside it from back to front. */
export interface Draft {
  readonly kind: LayerKind;
  readonly name: string;
  readonly values: Readonly<Record<string, Value>>;
  readonly inside: readonly Draft[];
}

/** A file as layers. `lost` names, each once, what could not be kept. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly layers: readonly Draft[];
  readonly lost: readonly string[];
}

export type ReadSvg =
  { readonly ok: true; readonly picture: Picture } | { readonly ok: false; readonly error: string };
