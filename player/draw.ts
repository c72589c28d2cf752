import type { Paint } from "#core/paint";

const SVG = "http://www.w3.org/2000/svg";

/** Where kept files are, by their hash. */
export type Address = (hash: string) => string;
const ownServer: Address = (hash) => `/assets/${hash}`;

interface Drawn {
  paint: Paint;
  element: SVGElement;
  children: Map<string, Drawn>;
}

const put = (element: SVGElement, key: string, value: string | number, address: Address): void => {
  const text = String(value);
  element.setAttribute(
    key,
    key === "href" && text.startsWith("asset:") ? address(text.slice(6)) : text,
  );
};

const create = (paint: Paint, address: Address): Drawn => {
  const element = document.createElementNS(SVG, paint.tag);
  for (const [k, v] of Object.entries(paint.attrs)) put(element, k, v, address);
  if (paint.text !== undefined) element.textContent = paint.text;
  const children = new Map<string, Drawn>();
  for (const child of paint.children) {
    const drawn = create(child, address);
    children.set(child.key, drawn);
    element.append(drawn.element);
  }
  return { paint, element, children };
};

const updateAttrs = (drawn: Drawn, next: Paint, address: Address): void => {
  const before = drawn.paint.attrs;
  const { attrs } = next;
  if (before !== attrs) {
    for (const k in attrs)
      if (before[k] !== attrs[k]) put(drawn.element, k, attrs[k] as string | number, address);
    for (const k in before) if (!(k in attrs)) drawn.element.removeAttribute(k);
  }
  if (next.text !== drawn.paint.text) drawn.element.textContent = next.text ?? "";
};

/**
 * Whether the same children, by key and kind of element, lie in the same order: then they need not
 * be put in order again.
 */
const sameOrder = (a: readonly Paint[], b: readonly Paint[]): boolean => {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++)
    if (a[i] !== b[i] && (a[i]?.key !== b[i]?.key || a[i]?.tag !== b[i]?.tag)) return false;
  return true;
};

/** Brings an element to a new paint; parts whose paint is the same object are not touched. */
const update = (drawn: Drawn, next: Paint, address: Address): void => {
  const { paint } = drawn;
  if (paint === next) return;
  updateAttrs(drawn, next, address);
  if (paint.children !== next.children && sameOrder(paint.children, next.children)) {
    for (let i = 0; i < next.children.length; i++) {
      const child = next.children[i] as Paint;
      if (child !== paint.children[i])
        update(drawn.children.get(child.key) as Drawn, child, address);
    }
  } else if (paint.children !== next.children) {
    const keep = new Set(next.children.map((c) => c.key));
    for (const [key, child] of drawn.children) {
      if (keep.has(key)) continue;
      child.element.remove();
      drawn.children.delete(key);
    }
    let before: ChildNode | null = drawn.element.firstChild;
    for (const paint of next.children) {
      let child = drawn.children.get(paint.key);
      if (child && child.paint.tag === paint.tag) update(child, paint, address);
      else {
        const fresh = create(paint, address);
        if (before === child?.element) before = before?.nextSibling ?? null;
        child?.element.remove();
        drawn.children.set(paint.key, fresh);
        child = fresh;
      }
      if (before === child.element) before = before.nextSibling;
      else drawn.element.insertBefore(child.element, before);
    }
  }
  drawn.paint = next;
};

/** Draws paints into one SVG element, again and again, changing only what differs. */
export class Drawing {
  #drawn: Drawn | null = null;

  constructor(
    private readonly host: SVGElement,
    private readonly address: Address = ownServer,
  ) {}

  draw(paint: Paint | null): void {
    if (paint && this.#drawn && this.#drawn.paint.tag === paint.tag)
      update(this.#drawn, paint, this.address);
    else {
      this.#drawn?.element.remove();
      this.#drawn = paint && create(paint, this.address);
      if (this.#drawn) this.host.append(this.#drawn.element);
    }
  }
}
