import { wrap } from "comlink";
import { canonical } from "#core/system";
import type { EditionAbout } from "#server";
import type { Pictures } from "../../workers/pictures";
import { saveBytes } from "../services/download";
import { writeTokenFiles } from "../services/tokens";
import type { AdoptedEditions } from "../session/editions";
import { lackText } from "./lack";
import { editionsWords } from "./words";

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);

const fileAt = async (hash: string): Promise<Uint8Array> => {
  const response = await fetch(`/assets/${hash}`);
  if (!response.ok) throw new Error(editionsWords.fileMissing);
  return new Uint8Array(await response.arrayBuffer());
};

const zipped = async (files: Readonly<Record<string, Uint8Array>>): Promise<Uint8Array> => {
  const worker = new Worker(new URL("../../workers/pictures.ts", import.meta.url), {
    type: "module",
  });
  try {
    return await wrap<Pictures>(worker).zip(files);
  } finally {
    worker.terminate();
  }
};

/**
 * Saves an edition as a ZIP: what it holds as JSON, its tokens in the Design Tokens Format, its
 * notes, and its files by their hash. Says what went wrong; null for nothing.
 */
export const download = async (
  editions: AdoptedEditions,
  { hash, number, systemName, notes }: EditionAbout,
): Promise<string | null> => {
  const lack = await editions.learn(hash);
  const content = editions.known.get(hash);
  if (lack !== null || !content) return lackText(lack ?? "unknown");
  try {
    const files: Record<string, Uint8Array> = {
      "edition.json": bytesOf(canonical(content)),
      "notes.md": bytesOf(notes),
    };
    for (const { name, text } of await writeTokenFiles(content))
      files[`tokens/${name}`] = bytesOf(text);
    for (const asset of Object.values(content.assets))
      if (asset.kind !== "icon") files[`assets/${asset.hash}`] ??= await fileAt(asset.hash);
    saveBytes(`${systemName} ${number}.zip`, "application/zip", await zipped(files));
    return null;
  } catch (error) {
    return editionsWords.notSaved(error instanceof Error ? error.message : String(error));
  }
};
