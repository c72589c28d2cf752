import type { Rule, TriggerType } from "../../project";
import { blur } from "../../vocabulary/triggers/blur/scxml";
import { click } from "../../vocabulary/triggers/click/scxml";
import { delay } from "../../vocabulary/triggers/delay/scxml";
import { double } from "../../vocabulary/triggers/double/scxml";
import { drag } from "../../vocabulary/triggers/drag/scxml";
import { ended } from "../../vocabulary/triggers/ended/scxml";
import { enter } from "../../vocabulary/triggers/enter/scxml";
import { failed } from "../../vocabulary/triggers/failed/scxml";
import { focus } from "../../vocabulary/triggers/focus/scxml";
import { hold } from "../../vocabulary/triggers/hold/scxml";
import { hover } from "../../vocabulary/triggers/hover/scxml";
import { key } from "../../vocabulary/triggers/key/scxml";
import { leave } from "../../vocabulary/triggers/leave/scxml";
import { paused } from "../../vocabulary/triggers/paused/scxml";
import { played } from "../../vocabulary/triggers/played/scxml";
import { press } from "../../vocabulary/triggers/press/scxml";
import { reached } from "../../vocabulary/triggers/reached/scxml";
import { release } from "../../vocabulary/triggers/release/scxml";
import { seen } from "../../vocabulary/triggers/seen/scxml";
import { sent } from "../../vocabulary/triggers/sent/scxml";
import { settled } from "../../vocabulary/triggers/settled/scxml";
import { signal } from "../../vocabulary/triggers/signal/scxml";
import { succeeded } from "../../vocabulary/triggers/succeeded/scxml";
import { typed } from "../../vocabulary/triggers/typed/scxml";
import type { TriggerEvents } from "./trigger-events";

const events: Readonly<Record<TriggerType, TriggerEvents>> = {
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

/** The events of a chart by which a rule's trigger comes about. */
export const eventsOf = (rule: Rule): TriggerEvents => events[rule.trigger.type];
