const SVG = "http://www.w3.org/2000/svg";

const css = `
.player{position:relative;outline:none;touch-action:pan-x pan-y;user-select:none;-webkit-user-select:none}
.player>svg{display:block;overflow:visible}
.player .said{position:absolute;width:1px;height:1px;opacity:0;overflow:hidden;white-space:nowrap}
`;

const styled = new Set<string>();

/** Adds a style sheet to the document, once for all players. */
export const addStyle = (css: string): void => {
  if (styled.has(css)) return;
  styled.add(css);
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(css);
  document.adoptedStyleSheets.push(sheet);
};

/** What a piece is shown in: its painting, and around it what the page's focus is in. */
export class Frame {
  readonly element = document.createElement("div");
  readonly svg = document.createElementNS(SVG, "svg");
  readonly #said = document.createElement("div");
  /** while elements change, what the page says of its focus is not somebody's doing */
  #isMoving = false;
  #isFree = true;

  constructor() {
    addStyle(css);
    this.element.className = "player";
    this.element.setAttribute("role", "group");
    this.svg.setAttribute("aria-hidden", "true");
    this.#said.className = "said";
    this.#said.setAttribute("role", "status");
    this.element.append(this.svg, this.#said);
    // what is painted over a field keeps the focus from it
    this.element.addEventListener("mousedown", (e) => {
      if (!this.#isFree) e.preventDefault();
      this.#isFree = true;
    });
  }

  get isMoving(): boolean {
    return this.#isMoving;
  }

  get hasFocus(): boolean {
    return this.element.contains(document.activeElement);
  }

  /** Says something to those who listen. */
  say(text: string): void {
    this.#said.textContent = text;
  }

  /** Whether the next press on a field is for the field. */
  letThrough(isFree: boolean): void {
    this.#isFree = isFree;
  }

  /** Changes elements without anybody having moved the focus. */
  moving(change: () => void): void {
    this.#isMoving = true;
    change();
    this.#isMoving = false;
  }

  /** Gives the page's focus to an element in it, or to the whole where that is none. */
  giveFocus(wanted: HTMLElement | null): void {
    const target = wanted ?? this.element;
    if (document.activeElement === target) return;
    this.moving(() => target.focus({ preventScroll: true }));
  }
}
