import { hashesIn } from "#core/formats/motion";
import type { Paint } from "#core/paint";

const dataAddress = async (url: string): Promise<string> => {
  const blob = await (await fetch(url)).blob();
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as string);
    reader.onerror = () => fail(new Error("the file could not be read"));
    reader.readAsDataURL(blob);
  });
};

/** The font faces of the page, as their rules say. */
const faces = (): CSSFontFaceRule[] =>
  [...document.styleSheets].flatMap((sheet) => {
    try {
      return [...sheet.cssRules].filter((r) => r instanceof CSSFontFaceRule);
    } catch {
      return [];
    }
  });

/**
 * What a picture needs to be a file of its own: its fonts as CSS, and its pictures as data
 * addresses by their hash.
 */
export const embedded = async (
  frames: readonly Paint[],
): Promise<{
  style: string;
  pictures: ReadonlyMap<string, string>;
  address: (hash: string) => string;
}> => {
  const { families, hashes } = hashesIn(frames);
  const rules = await Promise.all(
    faces()
      .filter((f) => families.has(f.style.getPropertyValue("font-family").replaceAll(/["']/g, "")))
      .map(async (f) => {
        const url = /url\(["']?([^"')]+)["']?\)/.exec(f.cssText)?.[1];
        return url
          ? f.cssText.replace(
              url,
              await dataAddress(new URL(url, f.parentStyleSheet?.href ?? document.baseURI).href),
            )
          : "";
      }),
  );
  const pictures = new Map(
    await Promise.all(
      [...hashes].map(async (h) => [h, await dataAddress(`/assets/${h}`)] as const),
    ),
  );
  return { style: rules.join(""), pictures, address: (hash) => pictures.get(hash) ?? "" };
};
