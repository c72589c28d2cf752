import type { SpecifiedTokenValue } from "../../../project";
import { borderKind } from "./border";
import { colourKind } from "./colour";
import { curveKind } from "./curve";
import { durationKind } from "./duration";
import { familyKind } from "./family";
import { gradientKind } from "./gradient";
import type { Kind } from "./kind";
import { lengthKind } from "./length";
import { numberKind } from "./number";
import { shadowKind } from "./shadow";
import { strokeKind } from "./stroke";
import { transitionKind } from "./transition";
import { typographyKind } from "./typography";
import { weightKind } from "./weight";

/** Every type of the format that is of use here. */
export const kinds: readonly Kind<SpecifiedTokenValue>[] = [
  colourKind,
  lengthKind,
  familyKind,
  weightKind,
  durationKind,
  curveKind,
  numberKind,
  strokeKind,
  borderKind,
  transitionKind,
  shadowKind,
  gradientKind,
  typographyKind,
];
