import { plainText } from "#core/basics";
import { tokenValue } from "#core/looks";
import { curveOf } from "#core/motion";
import type { Easing, MotionValue, StyleValue, Token } from "#core/project";
import { USUAL_FAMILY, gradientText } from "#core/properties";
import type { Gradient, Shadow } from "#core/properties";
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

/** What a token looks like, large enough to judge. */
export const Sample = ({ token }: { token: Token }) => {
  const { tokens } = useDisplayedProject();
  const value = tokenValue(tokens, token.id);
  if (value === undefined) return <span className="sample gone">?</span>;
  switch (token.type) {
    case "colour":
      return (
        <span
          className={`sample${value === "none" ? " none" : ""}`}
          style={value === "none" ? {} : { background: plainText(value) }}
        />
      );
    case "gradient":
      return <span className="sample" style={{ background: gradientText(value as Gradient) }} />;
    case "shadow":
      return (
        <span
          className="sample raised"
          style={{ boxShadow: shadowCss(value as readonly Shadow[]) }}
        />
      );
    case "style": {
      const s = value as StyleValue;
      return (
        <span
          className="sample words"
          style={{
            fontFamily: `"${plainText(s.font ?? USUAL_FAMILY)}"`,
            fontWeight: Number(s.weight ?? 400),
            fontSize: Math.min(26, (s.size as number | undefined) ?? 16),
            letterSpacing: (s.spacing as number | undefined) ?? 0,
          }}
        >
          {systemWords.ag}
        </span>
      );
    }
    case "curve":
      return <CurveSample easing={value as Easing} />;
    case "motion":
      return <CurveSample easing={(value as MotionValue).easing} />;
    case "duration":
    case "number":
      return <span className="sample plain mono">{plainText(value)}</span>;
  }
};
