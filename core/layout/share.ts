import type { LayerValues } from "../properties";

type Alignment = LayerValues["align" | "alignText" | "alignDown"];

/** The share of the room left over that lies before something aligned in it: 0 to 1. */
export const shareBefore = (align: Alignment): number => {
  switch (align) {
    case "centre":
    case "middle":
      return 0.5;
    case "end":
    case "bottom":
      return 1;
    case "start":
    case "top":
    case "stretch":
    case undefined:
      return 0;
  }
};
