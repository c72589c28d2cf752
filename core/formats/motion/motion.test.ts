import { describe, expect, it } from "vitest";
import { animatedSvg, cssKeyframes, cssTransform } from "#core/formats/motion";
import type { AnimatedOptions } from "#core/formats/motion";
import { Change } from "#core/motion";
import { markup, paint } from "#core/paint";
import { child, place, stage, tween } from "../../../tests/support/placed";

const options: AnimatedOptions = {
  margin: 0,
  ground: null,
  pause: 400,
  style: "",
  address: (h) => `data:${h}`,
};
const framesOf = (change: Change, until: number, n = 10) => {
  const times = Array.from({ length: n + 1 }, (_, i) => (until * i) / n);
  return { times, frames: times.map((t) => paint(change.frame(t))) };
};

describe("a change as an animated SVG", () => {
  it("says what stays once, moves what moves, and flips what CSS cannot move", () => {
    const still = place("quay", { width: 100 }, { fill: "#17495c" });
    const sign = (fill: never) => place("sign", {}, { fill });
    const from = stage(
      still,
      place("ship", { x: 0 }, { fill: "#1f6f5c" }),
      sign("#e3b341" as never),
    );
    const to = stage(
      still,
      place("ship", { x: 80 }, { fill: "#1f6f5c", rotation: 20, opacity: 0.5 }),
      sign({
        kind: "linear",
        angle: 90,
        stops: [
          { at: 0, colour: "#e3b341" },
          { at: 1, colour: "#b3402e" },
        ],
      } as never),
    );
    const { frames, times } = framesOf(new Change(from, [{ to: to, motion: tween(200) }]), 200);
    const svg = animatedSvg(frames, times, 100, 100, options);
    expect(svg.match(/data-layer="quay"/g)).toHaveLength(1);
    expect(svg.match(/data-layer="ship"/g)).toHaveLength(1);
    expect(svg).toMatch(
      /@keyframes a1\{0%\{[^}]*transform:none[^}]*\}.*translate\(80px, 0px\) translate\(5px, 5px\) rotate\(20deg\)/s,
    );
    expect((svg.match(/fill="url\(#/g) ?? []).length).toBeGreaterThan(3);
    expect(svg).toContain("animation:a1 600ms linear infinite");
    expect(svg).toContain("prefers-reduced-motion");
  });

  it("what appears or vanishes is there for its own time", () => {
    const change = new Change(stage(place("a"), place("old"), place("z")), [
      { to: stage(place("a"), place("tick"), place("z")), motion: tween(100) },
    ]);
    const { frames, times } = framesOf(change, 100);
    const svg = animatedSvg(frames, times, 100, 100, { ...options, pause: null });
    expect(svg).toContain("1 forwards");
    expect(svg).toMatch(
      /@keyframes a1\{0%\{visibility:visible\}90%\{visibility:visible\}100%\{visibility:hidden\}\}/,
    );
    for (const id of ["a", "old", "tick", "z"])
      expect(svg.match(new RegExp(`data-layer="${id}"`, "g"))).toHaveLength(1);
    expect(svg).not.toContain("NaN");
  });

  it("a change in which nothing moves is a picture", () => {
    const scene = stage(place("ship"));
    const { frames, times } = framesOf(new Change(scene, [{ to: scene, motion: tween(100) }]), 100);
    expect(animatedSvg(frames, times, 100, 100, options)).toContain(markup(paint(scene)));
    expect(animatedSvg(frames, times, 100, 100, options)).not.toContain("@keyframes");
  });

  it("writes transforms as CSS does", () => {
    expect(cssTransform("translate(3 4) rotate(90 5 6) scale(2)")).toBe(
      "translate(3px, 4px) translate(5px, 6px) rotate(90deg) translate(-5px, -6px) scale(2, 2)",
    );
    expect(cssTransform("")).toBe("none");
  });
});

describe("a change as CSS keyframes", () => {
  const named = (id: string, name: string, x: number, fill: string) => {
    const p = place(id, { x }, { fill });
    return { ...p, layer: { ...p.layer, name } };
  };
  const spring = { kind: "spring", mass: 1, stiffness: 200, damping: 14 } as const;

  it("gives each property its own time, poses their stretches, and tells the error of its curves", () => {
    const css = cssKeyframes(
      "Bell: filled",
      stage(named("bell", "Route bell", 0, "#000000")),
      stage(named("bell", "Route bell", 40, "#ffffff")),
      {
        ...tween(200, "ease-in"),
        delay: 10,
        lanes: [
          { layer: "bell", key: "x", delay: 30, duration: 0, easing: spring },
          {
            layer: "bell",
            key: "rotation",
            delay: 0,
            duration: 300,
            easing: "ease-out",
            times: 0,
            poses: [{ at: 0.25, value: -12, easing: "linear" }],
          },
        ],
      },
    );
    expect(css).toContain(".route-bell {");
    expect(css).toMatch(/route-bell-x \d+ms 40ms 1 both/);
    expect(css).toMatch(/left: 0px; animation-timing-function: linear\(0, /);
    expect(css).toContain("route-bell-fill 200ms 10ms 1 both");
    expect(css).toContain("route-bell-rotation 300ms 10ms infinite both");
    expect(css).toContain(
      "0% { rotate: 0deg; animation-timing-function: linear; }\n  25% { rotate: -12deg; animation-timing-function: ease-out; }\n  100% { rotate: 0deg; }",
    );
    expect(css).toMatch(/accurate to 0\.\d+ %/);
  });

  it("layers of one name are told apart, a cut says nothing, what CSS has no word for is listed", () => {
    const two = (x: number) =>
      stage(named("a", "Buoy", x, "#000000"), named("b", "Buoy", x, "#000000"));
    expect(cssKeyframes("*/ x", two(0), two(5), tween(100))).toMatch(
      /\* \/ x.*\.buoy \{.*\.buoy-2 \{/s,
    );
    expect(cssKeyframes("x", two(0), two(5), { ...tween(100), kind: "cut" })).toBe("/* x */\n\n");
    expect(child(two(0), "a")?.x).toBe(0);
    const inset = (shadow: never) => stage(place("card", {}, { shadow }));
    expect(
      cssKeyframes(
        "x",
        inset([] as never),
        inset([{ x: 0, y: 2, blur: 4, spread: 0, colour: "#000000" }] as never),
        tween(100),
      ),
    ).toContain("Not supported in CSS: card: shadow.");
  });

  it("what comes from a pose moves there, in the time of its appearing", () => {
    const comesFrom = { x: 0, y: 24, scale: [0, 0], rotation: 0, opacity: 1, blur: 0 } as never;
    const tick = place("tick", { y: 10 }, { comesFrom });
    const css = cssKeyframes("Sent", stage(place("a")), stage(place("a"), tick), tween(100));
    expect(css).toContain("top: 34px");
    expect(css).toContain("scale: 0 0");
    expect(css).not.toContain("opacity");
    expect(css).not.toContain("left:");
    const gone = cssKeyframes("Sent", stage(place("a"), tick), stage(place("a")), tween(100));
    expect(gone).toMatch(/100% \{ scale: 0 0;/);
  });
});
