import { useEffect, useMemo, useState, useSyncExternalStore } from "react";
import type { Face, FontBook, LayoutEnv } from "#core/layout";
import type { Project } from "#core/project";
import type { FontAsset } from "#core/properties";

let env: LayoutEnv | null = null;
let loading: Promise<void> | null = null;
const waiting = new Set<() => void>();

const load = async (): Promise<void> => {
  // nothing is painted before both are there
  const [fonts] = await Promise.all([import("#fonts"), import("#core/combine")]);
  env = { fonts: fonts.default as unknown as FontBook };
  for (const call of waiting) call();
};

const subscribe = (call: () => void) => {
  waiting.add(call);
  loading ??= load();
  return () => waiting.delete(call);
};

/**
 * A font of a project: its measures for layout, and its file for the browser to draw with. The same
 * file does both.
 */
const faces = new Map<string, Promise<Face | null>>();
const faceOf = (font: FontAsset): Promise<Face | null> => {
  let face = faces.get(font.id);
  if (!face) {
    const measured = fetch(`/assets/${font.hash}/face`).then((r) =>
      r.ok ? (r.json() as Promise<Face>) : null,
    );
    const drawn = new FontFace(font.family, `url(/assets/${font.hash})`, { weight: font.weight })
      .load()
      .then((f) => {
        document.fonts.add(f);
      });
    face = Promise.all([measured, drawn]).then(
      ([m]) => m,
      () => null,
    );
    faces.set(font.id, face);
  }
  return face;
};

const books = new Map<string, LayoutEnv>();
const noFonts: readonly FontAsset[] = [];

/**
 * The measures of fonts, loaded once per window; null until they are there, and on the server. With
 * the assets of a project its own fonts are added as they arrive.
 */
export const useEnv = (assets?: Project["assets"]): LayoutEnv | null => {
  const base = useSyncExternalStore(
    subscribe,
    () => env,
    () => null,
  );
  const fonts = useMemo(
    () =>
      assets ? Object.values(assets).filter((a): a is FontAsset => a.kind === "font") : noFonts,
    [assets],
  );
  const key = fonts
    .map((f) => f.id)
    .sort()
    .join();
  const [, arrive] = useState(0);
  useEffect(() => {
    if (!base || key === "" || books.has(key)) return;
    let stale = false;
    void Promise.all(fonts.map(async (f) => [f, await faceOf(f)] as const)).then((list) => {
      const book: Record<string, readonly Face[]> = { ...base.fonts };
      for (const [f, face] of list) if (face) book[`${f.family}/${f.weight}`] = [face];
      books.set(key, { ...base, fonts: book });
      if (!stale) arrive((n) => n + 1);
    });
    return () => {
      stale = true;
    };
  }, [base, key, fonts]);
  return key === "" ? base : (books.get(key) ?? base);
};
