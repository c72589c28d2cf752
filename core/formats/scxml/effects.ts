import type { Effect, EffectOf, EffectType, Piece, Project } from "../../project";
import { address } from "../../vocabulary/effects/address/scxml";
import { back } from "../../vocabulary/effects/back/scxml";
import { clip } from "../../vocabulary/effects/clip/scxml";
import { close } from "../../vocabulary/effects/close/scxml";
import { empty } from "../../vocabulary/effects/empty/scxml";
import { go } from "../../vocabulary/effects/go/scxml";
import { nested } from "../../vocabulary/effects/nested/scxml";
import { open } from "../../vocabulary/effects/open/scxml";
import { option } from "../../vocabulary/effects/option/scxml";
import { raise } from "../../vocabulary/effects/raise/scxml";
import { scroll } from "../../vocabulary/effects/scroll/scxml";
import { seek } from "../../vocabulary/effects/seek/scxml";
import { set } from "../../vocabulary/effects/set/scxml";
import { stir } from "../../vocabulary/effects/stir/scxml";
import type { EffectContent } from "./contents";

const contents: { readonly [K in EffectType]: EffectContent<K> } = {
  set,
  nested,
  option,
  go,
  back,
  open,
  close,
  clip,
  seek,
  stir,
  scroll,
  empty,
  raise,
  address,
};

const contentFor = <K extends EffectType>(effect: EffectOf<K>): EffectContent<K> =>
  contents[effect.type];

/** An effect as executable content; null where the regions of the traits say it. */
export const contentOf = (effect: Effect, project: Project, piece: Piece): string | null =>
  contentFor(effect)(effect, project, piece);
