/** A file that is not what it says, with a reason a person can read. */
export class Unreadable extends Error {
  constructor(reason: string) {
    super(reason);
    this.name = "Unreadable";
  }
}

/** Reads big-endian numbers of a file and never beyond its end. */
export class Reader {
  private readonly view: DataView;

  constructor(readonly bytes: Uint8Array) {
    this.view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  }

  get length(): number {
    return this.bytes.byteLength;
  }

  private need(at: number, size: number): void {
    if (at < 0 || at + size > this.length)
      throw new Unreadable("it ends before what it says it holds");
  }

  u8(at: number): number {
    this.need(at, 1);
    return this.view.getUint8(at);
  }

  u16(at: number): number {
    this.need(at, 2);
    return this.view.getUint16(at);
  }

  i16(at: number): number {
    this.need(at, 2);
    return this.view.getInt16(at);
  }

  u32(at: number): number {
    this.need(at, 4);
    return this.view.getUint32(at);
  }

  tag(at: number): string {
    this.need(at, 4);
    return String.fromCharCode(this.u8(at), this.u8(at + 1), this.u8(at + 2), this.u8(at + 3));
  }

  part(at: number, size: number): Uint8Array {
    this.need(at, size);
    return this.bytes.subarray(at, at + size);
  }
}
