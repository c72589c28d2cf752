import { tokenValue } from "#core/looks";
import type { StyleValue, Token } from "#core/project";
import { gradientText } from "#core/properties";
import type { Gradient, Shadow } from "#core/properties";
import { useProject } from "../store/session-context";

const shadowCss = (list: readonly Shadow[]): string => list.map((s) => `${s.inner ? "inset " : ""}${s.x}px ${s.y}px ${s.blur}px ${s.spread}px ${s.colour === "none" ? "transparent" : s.colour}`).join(", ");

/** What a token looks like, large enough to judge. */
export const Sample = ({ token }: { token: Token }) => {
  const { tokens } = useProject();
  const value = tokenValue(tokens, token.id);
  if (value === undefined) return <span className="sample gone">?</span>;
  switch (token.type) {
    case "colour": return <span className={`sample${value === "none" ? " none" : ""}`} style={value === "none" ? {} : { background: String(value) }} />;
    case "gradient": return <span className="sample" style={{ background: gradientText(value as Gradient) }} />;
    case "shadow": return <span className="sample raised" style={{ boxShadow: shadowCss(value as readonly Shadow[]) }} />;
    case "style": {
      const s = value as StyleValue;
      return <span className="sample words" style={{ fontFamily: `"${String(s.font ?? "Hanken Grotesk")}"`, fontWeight: Number(s.weight ?? 400), fontSize: Math.min(26, (s.size as number | undefined) ?? 16), letterSpacing: (s.spacing as number | undefined) ?? 0 }}>Ag</span>;
    }
    case "curve": {
      const points: Record<string, readonly number[]> = { linear: [0, 0, 1, 1], ease: [0.25, 0.1, 0.25, 1], "ease-in": [0.42, 0, 1, 1], "ease-out": [0, 0, 0.58, 1], "ease-in-out": [0.42, 0, 0.58, 1] };
      const [a = 0, b = 0, c = 1, d = 1] = typeof value === "string" ? (points[value] ?? []) : (value as readonly number[]);
      return <span className="sample plain"><svg viewBox="-2 -6 44 44" width="36" height="36" aria-hidden="true"><path d={`M0 32C${a * 40} ${32 - b * 32} ${c * 40} ${32 - d * 32} 40 0`} fill="none" stroke="currentColor" strokeWidth="2" /></svg></span>;
    }
    default: return <span className="sample plain mono">{String(value)}</span>;
  }
};
