import type { TokenType, TokenValue } from "#core/project";
import { USUAL_FAMILY } from "#core/properties";
import { systemWords } from "./words";

interface TokenKind {
  readonly one: string;
  readonly many: string;
  /** what a new one says */
  readonly fresh: TokenValue;
}

/** What the kinds of tokens are called, and what a new one is. */
export const tokenKinds: Readonly<Record<TokenType, TokenKind>> = {
  colour: { one: "colour", many: systemWords.colours, fresh: "#1f6f5c" },
  gradient: {
    one: "gradient",
    many: systemWords.gradients,
    fresh: {
      kind: "linear",
      angle: 180,
      stops: [
        { at: 0, colour: "#2c9a70" },
        { at: 1, colour: "#17495c" },
      ],
    },
  },
  style: {
    one: systemWords.textStyle,
    many: systemWords.textStyles,
    fresh: { font: USUAL_FAMILY, weight: "600", size: 18 },
  },
  shadow: {
    one: "shadow",
    many: systemWords.shadows,
    fresh: [{ x: 0, y: 2, blur: 8, spread: 0, colour: "#20302e33" }],
  },
  length: { one: systemWords.length, many: systemWords.lengths, fresh: 16 },
  number: { one: systemWords.number, many: systemWords.numbers, fresh: 1 },
  family: { one: systemWords.fontFamily, many: systemWords.fontFamilies, fresh: USUAL_FAMILY },
  weight: { one: systemWords.weight, many: systemWords.weights, fresh: "600" },
  border: {
    one: systemWords.border,
    many: systemWords.borders,
    fresh: { colour: "#1f6f5c", width: 1, style: "solid" },
  },
  stroke: { one: systemWords.stroke, many: systemWords.strokes, fresh: "solid" },
  other: { one: systemWords.other, many: systemWords.others, fresh: { kind: null, json: "null" } },
  duration: { one: "duration", many: systemWords.durations, fresh: 200 },
  curve: { one: "curve", many: systemWords.curves, fresh: "ease-out" },
  motion: {
    one: "motion",
    many: systemWords.motionTokens,
    fresh: { duration: 240, easing: "ease-out" },
  },
};
