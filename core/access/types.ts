import type { Affine, Rect } from "../layout";
import type { Path } from "../machine";
import type { LayerValues, Role } from "../properties";

/** Attributes of WAI-ARIA with their values. */
export type States = Readonly<Record<string, string>>;

/** An entry as a field of the page: what it says, and how it is dressed. */
export interface Field {
  readonly by: "typing" | "choosing";
  readonly text: string;
  /** what stands there while nothing is filled in */
  readonly placeholder: string;
  readonly choices: readonly string[];
  /** whether what is filled in goes on in a next line */
  readonly isMultiline: boolean;
  readonly values: LayerValues;
  readonly width: number;
  readonly height: number;
  /** from the layer's own px to the scene's */
  readonly map: Affine;
}

/** What assistive technology is told of a layer (an accessible object of Core-AAM 1.2). */
export interface AccessNode {
  readonly key: string;
  /** the layer within the shown piece; null for a group that only holds its members together */
  readonly path: Path | null;
  readonly role: Role | "text" | "field";
  /** what it is called, where its contents do not say it; of a text, the text */
  readonly name: string;
  readonly states: States;
  /** the layer the keyboard's focus is on when it is here; null where it cannot be */
  readonly stop: Path | null;
  /** where it is at rest, px of the scene */
  readonly bounds: Rect;
  readonly field: Field | null;
  readonly children: readonly AccessNode[];
}
