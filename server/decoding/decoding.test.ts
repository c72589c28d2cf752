import { readFileSync } from "node:fs";
import { deflateSync, crc32 } from "node:zlib";
import fc from "fast-check";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { fontFiles } from "../../tests/support/fonts";
import { decodeHere } from "./decode";
import { readTables } from "./sfnt";
import { unpackFont } from "./unpack";

const sfnt = async (): Promise<Buffer> => Buffer.from(await unpackFont(fontFiles.woff2));
const reasonOf = async (
  kind: "font" | "picture" | "change",
  bytes: Uint8Array,
): Promise<string> => {
  const decoded = await decodeHere(kind, bytes);
  return decoded.ok ? "was taken" : decoded.reason;
};

/** Where a table of a font begins. */
const tableAt = (font: Buffer, tag: string): { offset: number; length: number } => {
  for (let i = 0; i < font.readUInt16BE(4); i++) {
    const at = 12 + i * 16;
    if (font.toString("latin1", at, at + 4) === tag)
      return { offset: font.readUInt32BE(at + 8), length: font.readUInt32BE(at + 12) };
  }
  throw new Error(`no ${tag}`);
};

/** A font whose one character table claims groups of code points. */
const withCmap = async (
  groups: readonly (readonly [number, number])[],
  claimed = groups.length,
): Promise<Buffer> => {
  const font = await sfnt();
  const table = Buffer.alloc(28 + groups.length * 12);
  table.writeUInt16BE(1, 2);
  table.writeUInt16BE(3, 4);
  table.writeUInt16BE(10, 6);
  table.writeUInt32BE(12, 8);
  table.writeUInt16BE(12, 12);
  table.writeUInt32BE(table.length - 12, 16);
  table.writeUInt32BE(claimed, 24);
  groups.forEach(([from, to], i) => {
    table.writeUInt32BE(from, 28 + i * 12);
    table.writeUInt32BE(to, 32 + i * 12);
  });
  const out = Buffer.concat([font, table]);
  for (let i = 0; i < out.readUInt16BE(4); i++) {
    const at = 12 + i * 16;
    if (out.toString("latin1", at, at + 4) !== "cmap") continue;
    out.writeUInt32BE(font.length, at + 8);
    out.writeUInt32BE(table.length, at + 12);
  }
  return out;
};

describe("fonts", () => {
  it("are read in every form they come in, with the same measures", async () => {
    const faces = await Promise.all(
      (["woff2", "woff", "ttf"] as const)
        .filter((form) => form in fontFiles)
        .map(async (form) => decodeHere("font", fontFiles[form as keyof typeof fontFiles])),
    );
    for (const face of faces)
      expect(face).toMatchObject({ ok: true, facts: { family: "Caveat", slanted: false } });
    const advances = faces.map((f) => (f.ok ? f.facts.face.advances : {}));
    for (const one of advances) expect(one).toEqual(advances[0]);
  });

  it("with character tables that claim what cannot be are refused before anything is built from them", async () => {
    expect(await reasonOf("font", await withCmap([[0, 0xffffffff]]))).toContain(
      "characters that do not exist",
    );
    expect(
      await reasonOf(
        "font",
        await withCmap(Array.from({ length: 40 }, () => [0, 0x10ffff] as const)),
      ),
    ).toContain("more characters than there are");
    expect(await reasonOf("font", await withCmap([[65, 90]], 0xffffffff))).toContain("ends before");
    expect(await reasonOf("font", await withCmap([[65, 90]]))).toBe("was taken");
  });

  it("that unpack to far more than they are, or say they do, are refused", async () => {
    const bomb = deflateSync(Buffer.alloc(120_000_000));
    const woff = Buffer.alloc(64 + bomb.length);
    woff.write("wOFF", 0, "latin1");
    woff.writeUInt32BE(0x00010000, 4);
    woff.writeUInt16BE(1, 12);
    woff.write("glyf", 44, "latin1");
    woff.writeUInt32BE(64, 48);
    woff.writeUInt32BE(bomb.length, 52);
    woff.writeUInt32BE(120_000_000, 56);
    bomb.copy(woff, 64);
    expect(await reasonOf("font", woff)).toContain("30 MB is the limit");
    // one that lies about it is stopped while it is unpacked
    woff.writeUInt32BE(1_000_000, 56);
    expect(await reasonOf("font", woff)).toMatch(/damaged|as long as it says/);
    const woff2 = Buffer.from(fontFiles.woff2);
    woff2.writeUInt32BE(0xf0000000, 16);
    expect(await reasonOf("font", woff2)).toContain("30 MB is the limit");
  });

  it("with tables missing, outside the file, or of impossible sizes are refused with the reason", async () => {
    const changed = async (change: (font: Buffer) => void): Promise<string> => {
      const font = await sfnt();
      change(font);
      return reasonOf("font", font);
    };
    expect(await changed((f) => f.write("xxxx", f.indexOf("hmtx"), "latin1"))).toContain(
      "“hmtx” is missing",
    );
    expect(await changed((f) => f.writeUInt32BE(0xfffffff0, 12 + 8))).toContain("ends before");
    expect(await changed((f) => f.writeUInt16BE(60_000, 4))).toContain("60000 tables");
    expect(await changed((f) => f.writeUInt16BE(0, tableAt(f, "head").offset + 18))).toContain(
      "0 units to the em",
    );
    expect(await changed((f) => f.writeUInt16BE(65_535, tableAt(f, "hhea").offset + 34))).toContain(
      "no widths",
    );
    expect(await reasonOf("font", fontFiles.woff2.subarray(0, 3000))).not.toBe("was taken");
    expect(await reasonOf("font", Buffer.from("OTTO and nothing else"))).not.toBe("was taken");
  });

  it("damaged anywhere are read or refused, and never bring anything down", async () => {
    const whole = await sfnt();
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ at: fc.nat({ max: 4000 }), to: fc.nat({ max: 255 }) }), {
          minLength: 1,
          maxLength: 30,
        }),
        async (hits) => {
          const font = Buffer.from(whole);
          for (const { at, to } of hits) font[at] = to;
          const decoded = await decodeHere("font", font);
          if (decoded.ok) expect(decoded.facts.family.length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 60 },
    );
  });

  it("have their tables inside the file", async () => {
    const tables = readTables(await sfnt());
    expect(tables.get("head")?.length).toBe(54);
  });
});

const chunk = (type: string, body: Buffer): Buffer => {
  const named = Buffer.concat([Buffer.from(type, "latin1"), body]);
  const out = Buffer.alloc(named.length + 8);
  out.writeUInt32BE(body.length, 0);
  named.copy(out, 4);
  out.writeUInt32BE(crc32(named), named.length + 4);
  return out;
};

/** A grey PNG that says it has a size, and has the data that is given. */
const png = (width: number, height: number, pixels: Buffer): Buffer => {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head[8] = 8;
  const signature = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([
    signature,
    chunk("IHDR", head),
    chunk("IDAT", deflateSync(pixels)),
    chunk("IEND", Buffer.alloc(0)),
  ]);
};

describe("pictures", () => {
  it("are read to their end", async () => {
    const picture = readFileSync(new URL("../../demo/pictures/saloon.png", import.meta.url));
    expect(await decodeHere("picture", picture)).toMatchObject({
      ok: true,
      facts: { type: "image/png", width: 480 },
    });
    expect(await reasonOf("picture", picture.subarray(0, picture.length - 200))).toContain(
      "incomplete",
    );
    const damaged = Buffer.from(picture);
    damaged.fill(0, 2000, 2100);
    expect(await reasonOf("picture", damaged)).toContain("damaged");
  });

  it("that claim to be large and are nothing, or too large, are refused", async () => {
    const claims = png(6000, 6000, Buffer.alloc(10));
    expect(claims.length).toBeLessThan(200);
    expect(await reasonOf("picture", claims)).toContain("damaged or incomplete");
    expect(await reasonOf("picture", png(8192, 8192, Buffer.alloc(10)))).toContain(
      "the limit is 40 million",
    );
    expect(await reasonOf("picture", png(20_000, 4, Buffer.alloc(10)))).toContain(
      "8192 px is the longest side",
    );
    expect(
      await reasonOf("picture", Buffer.from("<svg xmlns='http://www.w3.org/2000/svg'/>")),
    ).toMatch(/svg|not a supported image/);
    expect(await reasonOf("picture", Buffer.from("GIF89a and no more"))).not.toBe("was taken");
  });

  it("cannot name a format that is not taken", async () => {
    const tiff = await sharp({ create: { width: 4, height: 4, channels: 3, background: "red" } })
      .tiff()
      .toBuffer();
    expect(await reasonOf("picture", tiff)).toContain("tiff are not supported");
  });
});

describe("changes as they are sent", () => {
  const sent = (text: string) => reasonOf("change", Buffer.from(text));
  const whole = {
    changeId: "change1",
    clientId: "window1",
    since: 0,
    base: 0,
    late: false,
    change: { label: "x", ops: [{ op: "set", path: ["name"], value: "Kit" }] },
  };

  it("are taken when they are whole, and refused with the reason when they are not", async () => {
    expect(await sent(JSON.stringify(whole))).toBe("was taken");
    expect(await sent("{ not json")).toContain("not JSON");
    expect(await sent(JSON.stringify({ ...whole, since: -1 }))).toContain("since");
    expect(await sent(JSON.stringify({ ...whole, extra: 1 }))).toMatch(/extra/);
    expect(await sent(`${"[".repeat(50_000)}${"]".repeat(50_000)}`)).toContain("deep");
    expect(
      await sent(JSON.stringify({ ...whole, change: { label: '[[[{{{"', ops: whole.change.ops } })),
    ).toBe("was taken");
  });
});
