import type { Id } from "../basics";
import type { IconAsset, PictureAsset } from "./assets";
import type { LayerKind } from "./kinds";

/**
 * A shadow: offsets, blur and spread in px as in CSS box-shadow; colour as #rrggbb or #rrggbbaa;
 * `inner` falls inside the layer.
 */
export interface Shadow {
  readonly x: number;
  readonly y: number;
  readonly blur: number;
  readonly spread: number;
  readonly colour: string;
  readonly inner?: boolean;
}

/** Top, right, bottom, left; or the corners clockwise from the top left; px. */
export type Four = readonly [number, number, number, number];
/** Across and down. */
export type Pair = readonly [number, number];

/** A stop of a gradient: its place along it (0–1) and its colour. */
export interface Stop {
  readonly at: number;
  readonly colour: string;
}

/**
 * A linear gradient over the layer's box as in CSS Images 3 §3.1: degrees, 0 runs upwards, 90 to
 * the right.
 */
interface LinearFill {
  readonly kind: "linear";
  readonly angle: number;
  readonly stops: readonly Stop[];
}
/** A radial gradient: centre and radii as parts of the layer's width and height. */
interface RadialFill {
  readonly kind: "radial";
  readonly centre: Pair;
  readonly radii: Pair;
  readonly stops: readonly Stop[];
}
export type Gradient = LinearFill | RadialFill;

export const fits = ["cover", "contain", "stretch"] as const;
type Fit = (typeof fits)[number];
/**
 * A picture over the layer's box; `focus` is what stays in sight when it is cut, in per cent of the
 * picture.
 */
export interface PictureFill {
  readonly kind: "picture";
  readonly picture: Id | PictureAsset;
  readonly fit: Fit;
  readonly focus: Pair;
}

export type Fill = string | Gradient | PictureFill;

/**
 * How a layer looks while it is away: what is added to its place (px), multiplied with its scale
 * and opacity, and added to its rotation (degrees) and its blur (px).
 */
export interface AwayPose {
  readonly x: number;
  readonly y: number;
  readonly scale: Pair;
  readonly rotation: number;
  readonly opacity: number;
  readonly blur: number;
}

/** A value of a layer's property as layout, motion and painting take it. */
export type Value =
  | number
  | string
  | boolean
  | Pair
  | Four
  | readonly Shadow[]
  | Gradient
  | PictureFill
  | IconAsset
  | PictureAsset
  | AwayPose;

/** Refers to a token, whose value is taken instead. */
export interface Bound {
  readonly token: Id;
}
/** What a look may say about a property. */
export type SpecifiedValue = Value | Bound;

export const isBound = (said: unknown): said is Bound =>
  typeof said === "object" && said !== null && "token" in said;

export type Unit = "px" | "°" | "×" | "%" | "ms" | "";

/**
 * What values a property takes; the schema, the sheet's editor and the interpolation follow from
 * it.
 */
export type ValueType =
  | {
      readonly is: "number";
      readonly min: number;
      readonly max: number;
      readonly step: number;
      readonly unit: Unit;
      /** the largest value means: none */ readonly open?: boolean;
    }
  | { readonly is: "pair"; readonly min: number; readonly max: number; readonly unit: Unit }
  | { readonly is: "colour" }
  | { readonly is: "fill" }
  | { readonly is: "flag" }
  | {
      readonly is: "choice";
      readonly of: readonly string[];
      /** what people read and type for some of them */
      readonly words?: Readonly<Record<string, string>>;
    }
  | { readonly is: "text" }
  | { readonly is: "path" }
  | { readonly is: "four" }
  | { readonly is: "shadows" }
  | { readonly is: "asset"; readonly of: "picture" | "icon" }
  | { readonly is: "family" }
  | { readonly is: "style" }
  /** how a layer looks before it comes or after it has gone; or one of the words */
  | { readonly is: "away"; readonly words: readonly string[] }
  | { readonly is: "reference" };

/** The values of a type of values. */
export type ValueOf<T extends ValueType> = T extends {
  readonly is: "choice";
  readonly of: infer Of;
}
  ? Of extends readonly string[]
    ? Of[number]
    : never
  : T extends { readonly is: "asset"; readonly of: "picture" }
    ? Id | PictureAsset
    : T extends { readonly is: "asset" }
      ? Id | IconAsset
      : {
          number: number;
          pair: Pair;
          colour: string;
          fill: Fill;
          flag: boolean;
          choice: string;
          text: string;
          path: string;
          four: Four;
          shadows: readonly Shadow[];
          asset: Id;
          family: string;
          away: string | AwayPose;
          style: Id;
          reference: Id;
        }[T["is"]];

/**
 * How two values are interpolated; "step" changes at once, "dissolve" cross-fades the layer,
 * "corners" never leaves what the box can show.
 */
export type Mixing =
  | "number"
  | "pair"
  | "colour"
  | "fill"
  | "four"
  | "corners"
  | "shadows"
  | "path"
  | "step"
  | "dissolve"
  | "layout";

export interface Property {
  readonly key: string;
  readonly kinds: readonly LayerKind[];
  readonly type: ValueType;
  readonly fallback: Value;
  readonly mixing: Mixing;
}

export type PropertyGroup =
  "place" | "arrange" | "paint" | "border" | "text" | "meaning" | "copy" | "theme";

/** Values by the keys of properties. */
export type Values = Readonly<Record<string, Value>>;
