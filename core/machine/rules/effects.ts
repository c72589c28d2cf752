import type { Effect, EffectOf, EffectType } from "../../project";
import { address } from "../../vocabulary/effects/address/machine";
import { back } from "../../vocabulary/effects/back/machine";
import { clip } from "../../vocabulary/effects/clip/machine";
import { close } from "../../vocabulary/effects/close/machine";
import { empty } from "../../vocabulary/effects/empty/machine";
import { go } from "../../vocabulary/effects/go/machine";
import { nested } from "../../vocabulary/effects/nested/machine";
import { open } from "../../vocabulary/effects/open/machine";
import { option } from "../../vocabulary/effects/option/machine";
import { raise } from "../../vocabulary/effects/raise/machine";
import { scroll } from "../../vocabulary/effects/scroll/machine";
import { seek } from "../../vocabulary/effects/seek/machine";
import { set } from "../../vocabulary/effects/set/machine";
import { stir } from "../../vocabulary/effects/stir/machine";
import type { EffectFacet } from "./effect-types";

const facets: { readonly [K in EffectType]: EffectFacet<K> } = {
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

/** What an effect's kind is to the machine. */
export const facetOf = <K extends EffectType>(effect: EffectOf<K>): EffectFacet<K> =>
  facets[effect.type];

/**
 * What a rule's effect takes hold of: rules of one event that take hold of the same thing compete.
 * Null for what never competes.
 */
export const claimOf = (effect: Effect): string | null => facetOf(effect).claim(effect);

/** Whether an effect shows something over time, so that it can have a motion. */
export const isShown = (effect: Effect): boolean => facetOf(effect).shows !== "nothing";

/** Whether an effect goes from one screen to another. */
export const isNavigation = (effect: Effect): boolean => facetOf(effect).shows === "screens";
