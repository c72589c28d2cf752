import type { Designer } from "./designer";

type Point = readonly [x: number, y: number];

/**
 * A hand whose doings are counted: each click, each drag, each chord of keys, and each text that is
 * typed in one go. Looking and waiting are free.
 */
export class CountedHand {
  readonly done: string[] = [];

  constructor(readonly me: Designer) {}

  get count(): number {
    return this.done.length;
  }

  async click(role: string, name: string, within = ""): Promise<void> {
    this.done.push(`click ${name}`);
    await this.me.click(role, name, within);
  }

  async clickAt([x, y]: Point): Promise<void> {
    this.done.push("click");
    await this.me.page.mouse.click(x, y);
  }

  async drag([x, y]: Point, byX: number, byY: number): Promise<void> {
    this.done.push("drag");
    await this.me.drag(x, y, byX, byY);
  }

  async press(...keys: string[]): Promise<void> {
    this.done.push(keys.join("+"));
    await this.me.press(...keys);
  }

  async type(text: string): Promise<void> {
    this.done.push(`type ${text}`);
    await this.me.type(text);
  }

  /** Gives a cell of the sheet a value: a click, the text, and Enter. */
  async write(key: string, variant: string, text: string): Promise<void> {
    this.done.push(`click ${key}`, `type ${text}`, "Enter");
    await this.me.write(key, variant, text);
  }
}
