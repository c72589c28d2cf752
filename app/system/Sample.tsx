import type { CSSProperties, ReactNode } from "react";
import { plainText } from "#core/basics";
import { tokenValueOf } from "#core/looks";
import { curveOf } from "#core/motion";
import type { BorderValue, Easing, StyleValue, Token, TokenType, TokenValues } from "#core/project";
import { USUAL_FAMILY, gradientText, hundredths } from "#core/properties";
import type { Shadow } from "#core/properties";
import { useDisplayedProject } from "../session/displayed";
import { systemWords } from "./words";

const shadowCss = (list: readonly Shadow[]): string =>
  list
    .map(
      (s) =>
        `${s.inner ? "inset " : ""}${s.x}px ${s.y}px ${s.blur}px ${s.spread}px ${s.colour === "none" ? "transparent" : s.colour}`,
    )
    .join(", ");

const FINE = 48;
/** As thick and as large as a sample shows, px. */
const THICKEST = 8;
const LARGEST = 26;

/** A curve from its beginning to its end, with what goes past the ends. */
const CurveSample = ({ easing }: { easing: Easing }) => {
  const curve = curveOf(easing);
  const d = Array.from(
    { length: FINE + 1 },
    (_, i) =>
      `${i === 0 ? "M" : "L"}${((i / FINE) * 40).toFixed(1)} ${(32 - curve(i / FINE) * 32).toFixed(1)}`,
  ).join("");
  return (
    <span className="sample plain">
      <svg viewBox="-2 -12 44 52" width="36" height="36" aria-hidden="true">
        <path d={d} fill="none" stroke="currentColor" strokeWidth="2" strokeLinejoin="round" />
      </svg>
    </span>
  );
};

const Swatch = ({ colour }: { colour: string }) =>
  colour === "none" ? (
    <span className="sample none" />
  ) : (
    <span className="sample" style={{ background: colour }} />
  );

const Letters = ({ style }: { style: CSSProperties }) => (
  <span className="sample words" style={style}>
    {systemWords.ag}
  </span>
);

const NumberSample = ({ value }: { value: number }) => (
  <span className="sample plain mono">{hundredths(value)}</span>
);

const borderCss = ({ colour, width, style }: BorderValue): string =>
  `${Math.min(THICKEST, width)}px ${style} ${colour === "none" ? "transparent" : colour}`;

const lettersOf = ({ font, weight, size, spacing }: StyleValue): CSSProperties => ({
  fontFamily: `"${plainText(font ?? USUAL_FAMILY)}"`,
  fontWeight: Number(weight ?? 400),
  fontSize: Math.min(LARGEST, Number(size ?? 16)),
  letterSpacing: Number(spacing ?? 0),
});

/** How each type of token is shown. */
const samples: { readonly [T in TokenType]: (value: TokenValues[T]) => ReactNode } = {
  colour: (colour) => <Swatch colour={colour} />,
  gradient: (gradient) => (
    <span className="sample" style={{ background: gradientText(gradient) }} />
  ),
  length: (value) => <NumberSample value={value} />,
  number: (value) => <NumberSample value={value} />,
  duration: (value) => <NumberSample value={value} />,
  style: (style) => <Letters style={lettersOf(style)} />,
  family: (family) => <Letters style={{ fontFamily: `"${family}"` }} />,
  weight: (weight) => <Letters style={{ fontWeight: Number(weight) }} />,
  shadow: (list) => <span className="sample raised" style={{ boxShadow: shadowCss(list) }} />,
  border: (border) => <span className="sample plain" style={{ border: borderCss(border) }} />,
  stroke: (stroke) => (
    <span className="sample plain">
      <span className="sample-stroke" style={{ borderTopStyle: stroke as "solid" }} />
    </span>
  ),
  curve: (easing) => <CurveSample easing={easing} />,
  motion: ({ easing }) => <CurveSample easing={easing} />,
  other: () => <span className="sample plain mono">{"{ }"}</span>,
};

const shown = <T extends TokenType>(tokens: Props["tokens"], type: T, id: string): ReactNode => {
  const value = tokenValueOf(tokens, type, id);
  return value === undefined ? <span className="sample gone">?</span> : samples[type](value);
};

interface Props {
  readonly token: Token;
  /** those it may take its value from */
  readonly tokens: Readonly<Record<string, Token>>;
}

/** What a token looks like among others, large enough to judge. */
export const SampleOf = ({ token, tokens }: Props) => shown(tokens, token.type, token.id);

/** What a token of the project looks like. */
export const Sample = ({ token }: { token: Token }) => {
  const { tokens } = useDisplayedProject();
  return <SampleOf token={token} tokens={tokens} />;
};
