import type { Rule, TriggerType } from "../../project";
import { blur } from "../../vocabulary/triggers/blur/machine";
import { click } from "../../vocabulary/triggers/click/machine";
import { delay } from "../../vocabulary/triggers/delay/machine";
import { double } from "../../vocabulary/triggers/double/machine";
import { drag } from "../../vocabulary/triggers/drag/machine";
import { ended } from "../../vocabulary/triggers/ended/machine";
import { enter } from "../../vocabulary/triggers/enter/machine";
import { failed } from "../../vocabulary/triggers/failed/machine";
import { focus } from "../../vocabulary/triggers/focus/machine";
import { hold } from "../../vocabulary/triggers/hold/machine";
import { hover } from "../../vocabulary/triggers/hover/machine";
import { key } from "../../vocabulary/triggers/key/machine";
import { leave } from "../../vocabulary/triggers/leave/machine";
import { paused } from "../../vocabulary/triggers/paused/machine";
import { played } from "../../vocabulary/triggers/played/machine";
import { press } from "../../vocabulary/triggers/press/machine";
import { reached } from "../../vocabulary/triggers/reached/machine";
import { release } from "../../vocabulary/triggers/release/machine";
import { seen } from "../../vocabulary/triggers/seen/machine";
import { sent } from "../../vocabulary/triggers/sent/machine";
import { settled } from "../../vocabulary/triggers/settled/machine";
import { signal } from "../../vocabulary/triggers/signal/machine";
import { succeeded } from "../../vocabulary/triggers/succeeded/machine";
import { typed } from "../../vocabulary/triggers/typed/machine";
import type { TriggerFacet } from "./trigger-types";

const facets: Readonly<Record<TriggerType, TriggerFacet>> = {
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
};

/** What a rule's trigger is to the machine. */
export const triggerOf = (rule: Rule): TriggerFacet => facets[rule.trigger.type];

/** Whether a rule answers to something that presses: over its layer a pointer becomes a hand. */
export const isPressed = (rule: Rule): boolean => triggerOf(rule).by === "press";

/** Whether a rule answers to a pointer that presses or comes and goes. */
export const isPointed = (rule: Rule): boolean => isPressed(rule) || triggerOf(rule).by === "hover";

/** Whether a trigger is a contact: it lasts, and what it did can be undone when it ends. */
export const isContact = (type: TriggerType): boolean => facets[type].contact !== undefined;

/** Whether a trigger is about time and the whole piece, not about a layer. */
export const isOfPiece = (type: TriggerType): boolean => facets[type].by === "time";
