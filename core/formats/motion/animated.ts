import { present } from "../../basics";
import { markup } from "../../paint";
import type { Attrs, Paint } from "../../paint";

/** How an animated picture is written. */
export interface AnimatedOptions {
  /** px of the picture around the piece on every side */
  readonly margin: number;
  /** how many px of the file's own size stand for one of the piece; 1 when nothing is said */
  readonly scale?: number;
  /** a CSS colour, or null for none */
  readonly ground: string | null;
  /** ms it stands still at the end before it begins again; null: it runs once */
  readonly pause: number | null;
  /** CSS put into the file: fonts */
  readonly style: string;
  /** where pictures are, by their hash: data addresses, for a file that needs nothing else */
  readonly address: (hash: string) => string;
}

/** Attributes that CSS can change in an SVG, and how it writes their values. */
const animatable: Readonly<Record<string, (v: string | number) => string>> = {
  opacity: String,
  fill: String,
  stroke: String,
  "fill-opacity": String,
  "stroke-opacity": String,
  "stroke-width": (v) => `${v}px`,
  x: (v) => `${v}px`,
  y: (v) => `${v}px`,
  width: (v) => `${v}px`,
  height: (v) => `${v}px`,
  rx: (v) => `${v}px`,
  ry: (v) => `${v}px`,
  cx: (v) => `${v}px`,
  cy: (v) => `${v}px`,
  r: (v) => `${v}px`,
  transform: (v) => cssTransform(String(v)),
};

/** What an attribute is that is not written. */
const absent: Readonly<Record<string, string>> = {
  opacity: "1",
  transform: "none",
  "fill-opacity": "1",
  "stroke-opacity": "1",
};

/**
 * An SVG transform list as CSS writes it: with units, and turned about a point by moving there and
 * back.
 */
export const cssTransform = (list: string): string =>
  [...list.matchAll(/(translate|rotate|scale)\(([^)]*)\)/g)]
    .map(([, name, args = ""]) => {
      const [a = 0, b, c] = args
        .trim()
        .split(/[\s,]+/)
        .map(Number);
      if (name === "translate") return `translate(${a}px, ${b ?? 0}px)`;
      if (name === "scale") return `scale(${a}, ${b ?? a})`;
      return b === undefined
        ? `rotate(${a}deg)`
        : `translate(${b}px, ${c ?? 0}px) rotate(${a}deg) translate(${-b}px, ${-(c ?? 0)}px)`;
    })
    .join(" ") || "none";

const alike = (a: unknown, b: unknown): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);
const percent = (n: number): string => `${Math.round(n * 10_000) / 100}%`;

/** One order in which all lists keep theirs; null where two lists contradict one another. */
const commonOrder = (lists: readonly (readonly string[])[]): readonly string[] | null => {
  const out = [...(lists[0] ?? [])];
  for (const list of lists) {
    let at = -1;
    for (const key of list) {
      const known = out.indexOf(key);
      if (known >= 0 && known < at) return null;
      if (known >= 0) at = known;
      else out.splice(++at, 0, key);
    }
  }
  return out;
};

class Writer {
  readonly rules: string[] = [];
  private count = 0;
  constructor(
    private readonly times: readonly number[],
    private readonly length: number,
    private readonly options: AnimatedOptions,
  ) {}

  /**
   * Keyframes of values at the times of the frames; stretches in which nothing changes are written
   * by their ends.
   */
  private animation(declared: readonly string[], timing: "linear" | "step-end"): string {
    const name = `a${++this.count}`;
    const n = declared.length;
    const kept = declared
      .map((d, i) => ({ d, at: present(this.times[i]) / this.length }))
      .filter(
        (k, i) => i === 0 || i === n - 1 || !(k.d === declared[i - 1] && k.d === declared[i + 1]),
      );
    const last = kept.at(-1);
    if (last && last.at < 1) kept.push({ d: last.d, at: 1 });
    this.rules.push(
      `@keyframes ${name}{${kept.map((k) => `${percent(k.at)}{${k.d}}`).join("")}}.${name}{animation:${name} ${Math.round(this.length)}ms ${timing} ${this.options.pause === null ? "1 forwards" : "infinite"}}`,
    );
    return name;
  }

  private plain(node: Paint): string {
    return markup(node, this.options.address);
  }

  /** Each picture for as long as it is the one. */
  private flipped(frames: readonly (Paint | null)[]): string {
    const kinds: (Paint | null)[] = [];
    const which = frames.map((f) => {
      const known = kinds.findIndex((k) => alike(k, f));
      return known >= 0 ? known : kinds.push(f) - 1;
    });
    return kinds
      .map((kind, i) =>
        kind
          ? `<g class="${this.animation(
              which.map((w) => `visibility:${w === i ? "visible" : "hidden"}`),
              "step-end",
            )}">${this.plain(kind)}</g>`
          : "",
      )
      .join("");
  }

  /**
   * An element over all frames: once where it stays the same, moved by CSS where that can, else as
   * a flip-book.
   */
  write(frames: readonly (Paint | null)[]): string {
    const there = frames.filter((f) => f !== null);
    const first = there[0];
    if (!first) return "";
    // what is only there for a time is written as if it always were, and hidden meanwhile
    if (there.length < frames.length) {
      let last = first;
      const filled = frames.map((f) => (last = f ?? last));
      return `<g class="${this.animation(
        frames.map((f) => `visibility:${f ? "visible" : "hidden"}`),
        "step-end",
      )}">${this.write(filled)}</g>`;
    }
    if (there.some((f) => f.tag !== first.tag || f.text !== first.text))
      return this.flipped(frames);
    if (frames.every((f) => alike(f, first))) return this.plain(first);
    const all = frames.filter((f) => f !== null);
    const keys = [...new Set(all.flatMap((f) => Object.keys(f.attrs)))];
    const moving = keys.filter((k) => all.some((f) => f.attrs[k] !== first.attrs[k]));
    const writable = (k: string) =>
      animatable[k] !== undefined &&
      all.every((f) =>
        f.attrs[k] === undefined ? absent[k] !== undefined : !String(f.attrs[k]).startsWith("url("),
      );
    const order = commonOrder(all.map((f) => f.children.map((c) => c.key)));
    if (!moving.every(writable) || !order) return this.flipped(frames);
    const still: Attrs = Object.fromEntries(
      Object.entries(first.attrs).filter(([k]) => !moving.includes(k)),
    );
    const name = moving.length
      ? this.animation(
          all.map((f) =>
            moving
              .map(
                (k) =>
                  `${k}:${f.attrs[k] === undefined ? absent[k] : present(animatable[k])(f.attrs[k])}`,
              )
              .join(";"),
          ),
          "linear",
        )
      : null;
    const inside = order
      .map((key) => this.write(all.map((f) => f.children.find((c) => c.key === key) ?? null)))
      .join("");
    const empty = this.plain({
      ...first,
      attrs: { ...still, ...(name ? { class: name } : {}) },
      children: [],
    });
    return inside ? empty.replace(/\/>$|><\/[a-zA-Z]+>$/, `>${inside}</${first.tag}>`) : empty;
  }
}

/**
 * A change as one SVG file that moves by itself (CSS Animations 1 in SVG 2), from its frames:
 * painted trees at times (ms, from
 * 0). Between frames values go evenly, so that it is smooth at any size and rate. It stands still
 * for people who asked for less motion.
 */
export const animatedSvg = (
  frames: readonly Paint[],
  times: readonly number[],
  width: number,
  height: number,
  options: AnimatedOptions,
): string => {
  const { margin, scale = 1, ground, pause, style } = options;
  const w = width + 2 * margin;
  const h = height + 2 * margin;
  const writer = new Writer(times, Math.max(1, (times.at(-1) ?? 0) + (pause ?? 0)), options);
  const inside = writer.write(frames);
  const css = `${style}${writer.rules.join("")}@media (prefers-reduced-motion:reduce){*{animation-delay:-1e6s!important;animation-iteration-count:1!important;animation-fill-mode:forwards!important}}`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w * scale}" height="${h * scale}" viewBox="${-margin} ${-margin} ${w} ${h}"><style>${css.replaceAll("<", "&lt;")}</style>${ground === null ? "" : `<rect x="${-margin}" y="${-margin}" width="${w}" height="${h}" fill="${ground}"/>`}${inside}</svg>`;
};

/** The fonts and the kept pictures (by their hash) that painted trees need. */
export const hashesIn = (
  frames: readonly Paint[],
): { readonly families: ReadonlySet<string>; readonly hashes: ReadonlySet<string> } => {
  const families = new Set<string>();
  const hashes = new Set<string>();
  const visit = (p: Paint) => {
    const font = p.attrs["font-family"];
    const href = p.attrs.href;
    if (typeof font === "string")
      for (const name of font.split(",")) families.add(name.trim().replaceAll(/["']/g, ""));
    if (typeof href === "string" && href.startsWith("asset:")) hashes.add(href.slice(6));
    p.children.forEach(visit);
  };
  frames.forEach(visit);
  return { families, hashes };
};
