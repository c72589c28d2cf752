import { entryOf } from "../../basics";

/** Numbers for texts, and for lists of numbers: equal ones have one number. 0 is nothing. */
export class Numbering {
  private readonly texts = new Map<string, number>();
  private readonly lists = new Map<number, Map<number, number>>();
  private count = 0;

  text(text: string | null | undefined): number {
    if (text === null || text === undefined) return 0;
    return entryOf(this.texts, text, () => this.texts.size + 1);
  }

  /** The number of a list that goes on with an item, from the number of the list so far. */
  longer(list: number, item: number): number {
    const next = entryOf(this.lists, list, () => new Map<number, number>());
    return entryOf(next, item, () => ++this.count);
  }

  list(texts: readonly string[]): number {
    let list = 0;
    for (const text of texts) list = this.longer(list, this.text(text));
    return list;
  }
}

/** One of so many slots is left free, so that searches stay short. */
const ROOM = 2;

/** A set of rows of so many 32-bit words, numbered in the order they came. */
export class WordRows {
  private rows: Int32Array;
  /** numbers of rows + 1 by their hash, and onwards where that is taken; 0 where none is */
  private slots = new Int32Array(1 << 10);
  count = 0;

  constructor(private readonly width: number) {
    this.rows = new Int32Array(width << 8);
  }

  /** The number of a row; -1 when it has not come yet. */
  find(row: Int32Array): number {
    return (this.slots[this.slotOf(row)] ?? 0) - 1;
  }

  /** Adds a row that has not come yet. */
  add(row: Int32Array): number {
    if ((this.count + 1) * ROOM > this.slots.length) this.grow();
    const at = this.count * this.width;
    if (at + this.width > this.rows.length) {
      const larger = new Int32Array(this.rows.length * 2);
      larger.set(this.rows);
      this.rows = larger;
    }
    this.rows.set(row, at);
    this.slots[this.slotOf(row)] = this.count + 1;
    return this.count++;
  }

  /** Where a row is, or where it would be put: rows with equal hashes are compared whole. */
  private slotOf(row: Int32Array): number {
    const mask = this.slots.length - 1;
    let slot = hashOf(row) & mask;
    for (let known = this.slots[slot] ?? 0; known !== 0; known = this.slots[slot] ?? 0) {
      if (this.isAt(known - 1, row)) return slot;
      slot = (slot + 1) & mask;
    }
    return slot;
  }

  private isAt(number: number, row: Int32Array): boolean {
    const at = number * this.width;
    for (let i = 0; i < this.width; i++) if (this.rows[at + i] !== row[i]) return false;
    return true;
  }

  private grow(): void {
    this.slots = new Int32Array(this.slots.length * 2);
    for (let number = 0; number < this.count; number++) {
      const at = number * this.width;
      const row = this.rows.subarray(at, at + this.width);
      this.slots[this.slotOf(row)] = number + 1;
    }
  }
}

/** Mixes words to 32 bits (MurmurHash3, its rounds and its end). */
const hashOf = (row: Int32Array): number => {
  let h = 0;
  for (const word of row) {
    let k = Math.imul(word, 0xcc9e2d51);
    k = (k << 15) | (k >>> 17);
    h ^= Math.imul(k, 0x1b873593);
    h = (h << 13) | (h >>> 19);
    h = (Math.imul(h, 5) + 0xe6546b64) | 0;
  }
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return (h ^ (h >>> 16)) >>> 0;
};
