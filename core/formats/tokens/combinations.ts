import { restOf, traitsOf, valuesOf } from "../../looks";
import type { Variant, Varying } from "../../project";

/** As many combinations of several themes as are gone through. */
const MOST = 400;

/** Every variant in which just one theme is not at rest. */
export const singles = (themes: Varying): readonly Variant[] =>
  traitsOf(themes).flatMap((theme) =>
    valuesOf(theme)
      .filter((value) => value.id !== restOf(theme))
      .map((value): Variant => ({ [theme.id]: value.id })),
  );

/** Every variant in which two themes or more are not at rest. */
export const combinations = (themes: Varying): readonly Variant[] => {
  let list: Variant[] = [{}];
  for (const theme of traitsOf(themes))
    list = list
      .flatMap((variant) =>
        valuesOf(theme).map((value) =>
          value.id === restOf(theme) ? variant : { ...variant, [theme.id]: value.id },
        ),
      )
      .slice(0, MOST);
  return list.filter((variant) => Object.keys(variant).length > 1);
};
