import type { EffectContent } from "../../../formats/scxml/contents";

export const raise: EffectContent<"raise"> = ({ signal }) =>
  `<send event="signal.${signal}" target="#_parent"/>`;
