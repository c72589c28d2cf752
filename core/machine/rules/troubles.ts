import type { Effect, EffectOf, EffectType, Piece, Project } from "../../project";
import { address } from "../../vocabulary/effects/address/trouble";
import { back } from "../../vocabulary/effects/back/trouble";
import { clip } from "../../vocabulary/effects/clip/trouble";
import { close } from "../../vocabulary/effects/close/trouble";
import { empty } from "../../vocabulary/effects/empty/trouble";
import { go } from "../../vocabulary/effects/go/trouble";
import { nested } from "../../vocabulary/effects/nested/trouble";
import { open } from "../../vocabulary/effects/open/trouble";
import { option } from "../../vocabulary/effects/option/trouble";
import { raise } from "../../vocabulary/effects/raise/trouble";
import { scroll } from "../../vocabulary/effects/scroll/trouble";
import { seek } from "../../vocabulary/effects/seek/trouble";
import { set } from "../../vocabulary/effects/set/trouble";
import { stir } from "../../vocabulary/effects/stir/trouble";
import type { EffectTrouble } from "./effect-types";
import type { Trouble } from "./trouble";

const troubles: { readonly [K in EffectType]: EffectTrouble<K> } = {
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

const troubleFor = <K extends EffectType>(effect: EffectOf<K>): EffectTrouble<K> =>
  troubles[effect.type];

/** Why an effect of a piece cannot work, null when it can. */
export const effectTrouble = (project: Project, piece: Piece, effect: Effect): Trouble | null =>
  troubleFor(effect)(project, piece, effect);
