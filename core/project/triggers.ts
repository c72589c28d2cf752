import type { z } from "zod";
import type { Frozen } from "../basics";
import { blur } from "../vocabulary/triggers/blur/schema";
import { click } from "../vocabulary/triggers/click/schema";
import { delay } from "../vocabulary/triggers/delay/schema";
import { double } from "../vocabulary/triggers/double/schema";
import { drag } from "../vocabulary/triggers/drag/schema";
import { ended } from "../vocabulary/triggers/ended/schema";
import { enter } from "../vocabulary/triggers/enter/schema";
import { failed } from "../vocabulary/triggers/failed/schema";
import { focus } from "../vocabulary/triggers/focus/schema";
import { hold } from "../vocabulary/triggers/hold/schema";
import { hover } from "../vocabulary/triggers/hover/schema";
import { key } from "../vocabulary/triggers/key/schema";
import { leave } from "../vocabulary/triggers/leave/schema";
import { paused } from "../vocabulary/triggers/paused/schema";
import { played } from "../vocabulary/triggers/played/schema";
import { press } from "../vocabulary/triggers/press/schema";
import { reached } from "../vocabulary/triggers/reached/schema";
import { release } from "../vocabulary/triggers/release/schema";
import { seen } from "../vocabulary/triggers/seen/schema";
import { sent } from "../vocabulary/triggers/sent/schema";
import { settled } from "../vocabulary/triggers/settled/schema";
import { signal } from "../vocabulary/triggers/signal/schema";
import { succeeded } from "../vocabulary/triggers/succeeded/schema";
import { typed } from "../vocabulary/triggers/typed/schema";
import type { NumberTokens } from "./tokens/following";

/** What each kind of trigger says beside its kind, in the order in which they are offered. */
export const triggerShapes = {
  click,
  double,
  press,
  release,
  hold,
  enter,
  leave,
  hover,
  focus,
  blur,
  key,
  signal,
  delay,
  settled,
  drag,
  played,
  paused,
  reached,
  ended,
  typed,
  sent,
  succeeded,
  failed,
  seen,
} satisfies Record<string, z.ZodRawShape>;

type Shapes = typeof triggerShapes;

export type TriggerType = keyof Shapes;

/** The kinds of trigger that say something beside their kind. */
export type TellingTrigger = {
  [K in TriggerType]: keyof Shapes[K] extends never ? never : K;
}[TriggerType];

// object keys keep the order in which they are written (ECMAScript, OrdinaryOwnPropertyKeys)
export const triggerTypes = Object.keys(triggerShapes) as TriggerType[];

type Fields = { [K in TriggerType]: Shapes[K] }[TriggerType];
type FieldName = Fields extends infer S ? (S extends unknown ? keyof S : never) : never;
type FieldOf<Name extends PropertyKey> = Fields extends infer S
  ? S extends Record<Name, z.ZodType<infer Said>>
    ? Said
    : never
  : never;

/**
 * What a rule listens for. Each kind says what its folder of the vocabulary has; numbers of it may
 * follow tokens.
 */
export type Trigger = {
  readonly type: TriggerType;
  readonly tokens?: NumberTokens | undefined;
} & {
  readonly [Name in FieldName]?: Frozen<FieldOf<Name>> | undefined;
};
