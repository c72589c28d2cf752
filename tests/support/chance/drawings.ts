import { Dice } from "./dice";

const colours = [
  "#1f6f5c",
  "#e3b341",
  "tomato",
  "rgb(40 60 200)",
  "hsl(200 60% 40% / .7)",
] as const;
const SIZE = 100;

/** Draws SVG files by chance, of what is read without a loss. */
class Draughtsman {
  private readonly dice: Dice;
  private readonly defs: string[] = [];
  private given = 0;

  constructor(seed: number) {
    this.dice = new Dice(seed);
  }

  file(): string {
    const { dice } = this;
    const parts = dice.times(dice.whole(1, 4), () => this.element(2));
    const style = dice.chance(0.3) ? "<style>.soft{opacity:.6}.sea{fill:#2b7a9b}</style>" : "";
    const view = dice.chance(0.4) ? this.view() : "";
    const defs = this.defs.length ? `<defs>${this.defs.join("")}</defs>` : "";
    return `<svg xmlns="http://www.w3.org/2000/svg" width="${SIZE}" height="${SIZE}"${view}>${style}${defs}${parts.join("")}</svg>`;
  }

  private name(): string {
    return `n${++this.given}`;
  }

  private view(): string {
    const { dice } = this;
    const aspect = dice.pick([
      "",
      ' preserveAspectRatio="none"',
      ' preserveAspectRatio="xMidYMid slice"',
    ]);
    return ` viewBox="${dice.whole(-20, 20)} ${dice.whole(-20, 20)} ${dice.whole(40, 160)} ${dice.whole(40, 160)}"${aspect}`;
  }

  private transform(): string {
    const { dice } = this;
    const one = () =>
      dice.pick([
        `translate(${dice.whole(-20, 20)} ${dice.whole(-20, 20)})`,
        `translate(${dice.whole(-10, 10)})`,
        `scale(${dice.whole(5, 15) / 10})`,
        `scale(${dice.whole(5, 15) / 10}, ${dice.whole(5, 15) / 10})`,
        `rotate(${dice.whole(-90, 90)})`,
        `rotate(${dice.whole(-90, 90)} 50 50)`,
        `skewX(${dice.whole(-20, 20)})`,
        `matrix(1 .2 -.2 1 ${dice.whole(-10, 10)} 5)`,
      ]);
    if (!dice.chance(0.5)) return "";
    return ` transform="${dice.times(dice.whole(1, 2), one).join(" ")}"`;
  }

  private gradient(): string {
    const { dice } = this;
    const id = this.name();
    const stops = dice
      .times(dice.whole(2, 3), () => dice.pick(colours))
      .map((c, i, all) => `<stop offset="${(100 * i) / (all.length - 1)}%" stop-color="${c}"/>`)
      .join("");
    const linear = `<linearGradient id="${id}" x1="0" y1="0" x2="${dice.pick(["1", "0"])}" y2="1">${stops}</linearGradient>`;
    const radial = `<radialGradient id="${id}" cx="${dice.whole(3, 7) / 10}" cy=".5" r="${dice.whole(3, 7) / 10}">${stops}</radialGradient>`;
    this.defs.push(dice.chance(0.6) ? linear : radial);
    return `url(#${id})`;
  }

  private paint(): string {
    const { dice } = this;
    const said: string[] = [];
    if (dice.chance(0.8)) said.push(`fill="${dice.pick(["none", ...colours])}"`);
    if (dice.chance(0.4)) {
      said.push(`stroke="${dice.pick(colours)}" stroke-width="${dice.whole(1, 8)}"`);
      said.push(`stroke-linejoin="${dice.pick(["round", "bevel", "miter"])}"`);
      said.push(`stroke-linecap="${dice.pick(["round", "square", "butt"])}"`);
    }
    if (dice.chance(0.15)) said.push(`fill-opacity="${dice.whole(2, 9) / 10}"`);
    if (dice.chance(0.15)) said.push(`opacity="${dice.whole(2, 9) / 10}"`);
    if (dice.chance(0.1)) said.push(`style="fill:${dice.pick(colours)}"`);
    if (dice.chance(0.1)) said.push(`class="${dice.pick(["soft", "sea"])}"`);
    return said.length ? ` ${said.join(" ")}` : "";
  }

  private points(count: number): string {
    return this.dice
      .times(count, () => `${this.dice.whole(0, SIZE)},${this.dice.whole(0, SIZE)}`)
      .join(" ");
  }

  private path(): string {
    const { dice } = this;
    const n = () => dice.whole(0, SIZE);
    const d = () => dice.whole(-30, 30);
    const step = () =>
      dice.pick([
        `L${n()} ${n()}`,
        `l${d()} ${d()}`,
        `H${n()}`,
        `v${d()}`,
        `C${n()} ${n()} ${n()} ${n()} ${n()} ${n()}`,
        `s${d()} ${d()} ${d()} ${d()}`,
        `Q${n()} ${n()} ${n()} ${n()}`,
        `t${d()} ${d()}`,
        `A${dice.whole(5, 30)} ${dice.whole(5, 30)} ${dice.whole(0, 90)} ${dice.pick(["0", "1"])} ${dice.pick(["0", "1"])} ${n()} ${n()}`,
      ]);
    const one = () =>
      `M${n()} ${n()}${dice.times(dice.whole(2, 5), step).join("")}${dice.pick(["Z", ""])}`;
    const rule = dice.pick(["", ' fill-rule="evenodd"']);
    return `<path d="${dice.times(dice.whole(1, 2), one).join("")}"${rule}`;
  }

  private shape(): string {
    const { dice } = this;
    const n = (from: number, to: number) => dice.whole(from, to);
    const open = dice.pick<() => string>([
      () => `<rect x="${n(0, 60)}" y="${n(0, 60)}" width="${n(5, 60)}" height="${n(5, 60)}"`,
      () => `<rect x="10%" y="${n(0, 60)}" width="${n(20, 60)}%" height="20" rx="${n(1, 9)}"`,
      () => `<rect x="${n(0, 60)}" y="5" width="40" height="30" rx="${n(1, 9)}" ry="${n(1, 9)}"`,
      () => `<circle cx="${n(20, 80)}" cy="${n(20, 80)}" r="${n(5, 40)}"`,
      () => `<ellipse cx="${n(20, 80)}" cy="50%" rx="${n(5, 40)}" ry="${n(5, 40)}"`,
      () => `<line x1="${n(0, 99)}" y1="${n(0, 99)}" x2="${n(0, 99)}" y2="${n(0, 99)}"`,
      () => `<polyline points="${this.points(n(3, 6))}"`,
      () => `<polygon points="${this.points(n(3, 6))}"`,
      () => this.path(),
      () => this.path(),
    ])();
    const fill = dice.chance(0.2) ? ` style="fill:${this.gradient()}"` : this.paint();
    return `${open}${fill}${this.transform()}/>`;
  }

  private element(depth: number): string {
    const { dice } = this;
    if (depth === 0 || dice.chance(0.5)) return this.shape();
    const inside = () => dice.times(dice.whole(1, 3), () => this.element(depth - 1)).join("");
    const kind = dice.pick(["g", "g", "svg", "use", "clip"]);
    if (kind === "g") return `<g${this.paint()}${this.transform()}>${inside()}</g>`;
    if (kind === "svg")
      return `<svg x="${dice.whole(0, 30)}" y="${dice.whole(0, 30)}" width="${dice.whole(30, 90)}" height="${dice.whole(30, 90)}" overflow="visible"${this.view()}>${inside()}</svg>`;
    const id = this.name();
    if (kind === "use") {
      this.defs.push(`<g id="${id}">${inside()}</g>`);
      return `<use href="#${id}" x="${dice.whole(-20, 20)}" y="${dice.whole(-20, 20)}"${this.paint()}${this.transform()}/>`;
    }
    this.defs.push(
      `<clipPath id="${id}"><circle cx="${dice.whole(30, 70)}" cy="50" r="${dice.whole(20, 45)}"/></clipPath>`,
    );
    return `<g clip-path="url(#${id})"${this.transform()}>${inside()}</g>`;
  }
}

/** An SVG file drawn by chance; the same for the same seed. */
export const drawing = (seed: number): string => new Draughtsman(seed).file();
