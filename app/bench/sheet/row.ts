import type { PropertyGroup, SpecifiedValue, ValueType } from "#core/properties";

/** A row of the sheet: one property of the chosen layer, ready to be shown and read back. */
export interface Row {
  readonly key: string;
  readonly label: string;
  /** what an option that shows it is called at first, where that is not the label */
  readonly name?: string;
  readonly group: PropertyGroup;
  readonly type: ValueType;
  /** exclusive choices by their words, where the value is one of them */
  readonly choices: readonly { readonly value: SpecifiedValue; readonly words: string }[] | null;
  /** what an instance shows when nobody says anything: the component's own */
  readonly inherent: SpecifiedValue | undefined;
  /**
   * the property that says whether a size is fixed, fitting or stretching: the row shows and takes
   * its words too
   */
  readonly mode: "widthMode" | "heightMode" | null;
}
