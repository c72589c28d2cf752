import type { LayerKind } from "../project/types";

/** A drop shadow: offsets, blur and spread in px as in CSS box-shadow; colour as #rrggbb or #rrggbbaa. */
export interface Shadow {
  readonly x: number;
  readonly y: number;
  readonly blur: number;
  readonly spread: number;
  readonly colour: string;
}

/** Top, right, bottom, left; or the corners clockwise from the top left; px. */
export type Four = readonly [number, number, number, number];

export type Value = number | string | boolean | Four | readonly Shadow[];

/** What values a property takes; the schema, the sheet's editor and the interpolation follow from it. */
export type ValueType =
  | { readonly is: "number"; readonly min: number; readonly max: number; readonly step: number; readonly unit: "px" | "°" | "×" | "" }
  | { readonly is: "colour" }
  | { readonly is: "flag" }
  | { readonly is: "choice"; readonly of: readonly string[] }
  | { readonly is: "text" }
  | { readonly is: "path" }
  | { readonly is: "four" }
  | { readonly is: "shadows" }
  | { readonly is: "reference" };

/** How two values are interpolated; "step" changes at once, "dissolve" cross-fades the layer. */
export type Mixing = "number" | "colour" | "four" | "shadows" | "path" | "step" | "dissolve" | "layout";

export interface Property {
  readonly key: string;
  readonly label: string;
  readonly group: PropertyGroup;
  readonly kinds: readonly LayerKind[];
  readonly type: ValueType;
  readonly fallback: Value;
  readonly mixing: Mixing;
  /** shown in the sheet only when this holds for the layer's values */
  readonly applies?: (values: Readonly<Record<string, Value>>) => boolean;
}

export const propertyGroups = ["place", "arrange", "paint", "text", "copy"] as const;
export type PropertyGroup = (typeof propertyGroups)[number];

/** All property values of one layer in one variant. Place-and-size values are always there. */
export type Values = Readonly<Record<string, Value>>;
