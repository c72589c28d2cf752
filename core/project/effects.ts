import type { z } from "zod";
import type { Frozen } from "../basics";
import { address } from "../vocabulary/effects/address/schema";
import { back } from "../vocabulary/effects/back/schema";
import { clip } from "../vocabulary/effects/clip/schema";
import { close } from "../vocabulary/effects/close/schema";
import { empty } from "../vocabulary/effects/empty/schema";
import { go } from "../vocabulary/effects/go/schema";
import { nested } from "../vocabulary/effects/nested/schema";
import { open } from "../vocabulary/effects/open/schema";
import { option } from "../vocabulary/effects/option/schema";
import { raise } from "../vocabulary/effects/raise/schema";
import { scroll } from "../vocabulary/effects/scroll/schema";
import { seek } from "../vocabulary/effects/seek/schema";
import { set } from "../vocabulary/effects/set/schema";
import { stir } from "../vocabulary/effects/stir/schema";

/** What each kind of effect says beside its kind. */
export const effectShapes = {
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
} satisfies Record<string, z.ZodRawShape>;

type Shapes = typeof effectShapes;

export type EffectType = keyof Shapes;

/** The fields of a shape that need not be said. */
type Optional<Shape> = {
  [Field in keyof Shape]: Shape[Field] extends z.ZodOptional ? Field : never;
}[keyof Shape];

type SaidBy<Field> = Field extends z.ZodType<infer Said> ? Frozen<Said> : never;

/** One kind of thing a rule does. */
export type EffectOf<K extends EffectType> = {
  [T in K]: { readonly type: T } & {
    readonly [Field in Exclude<keyof Shapes[T], Optional<Shapes[T]>>]: SaidBy<Shapes[T][Field]>;
  } & {
    readonly [Field in Optional<Shapes[T]>]?: SaidBy<Shapes[T][Field]>;
  };
}[K];
