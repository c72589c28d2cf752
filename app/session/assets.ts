import type { Id } from "#core/basics";
import { takeFont, takeIcon, takePicture } from "#core/edit";
import type { IconAsset } from "#core/properties";
import type { StoreAnswer } from "#server";
import iconsAddress from "../../generated/icons.json?url";
import type { Session } from "./session";
import { sessionWords } from "./words";

export interface CatalogueIcon extends Omit<IconAsset, "id" | "kind"> {
  readonly name: string;
  /** what it is used for: "close", "tick" */
  readonly uses?: readonly string[];
  /** words of its makers, and its categories */
  readonly tags?: readonly string[];
}

let catalogue: Promise<readonly CatalogueIcon[]> | null = null;

/** The shipped icons, fetched when first asked for. */
export const iconCatalogue = (): Promise<readonly CatalogueIcon[]> => {
  catalogue ??= fetch(iconsAddress).then((r) =>
    r.ok ? (r.json() as Promise<readonly CatalogueIcon[]>) : Promise.reject(new Error("no icons")),
  );
  // a failure is not kept: the next one who asks tries again
  catalogue.catch(() => {
    catalogue = null;
  });
  return catalogue;
};

/** Makes a shipped icon one of the project's; gives its id. */
export const keepIcon = (session: Session, icon: CatalogueIcon): Id => {
  const { name, width, height, shapes } = icon;
  const taken = takeIcon(session.project, { name, width, height, shapes });
  if (taken.change) session.edit(taken.change);
  return taken.asset.id;
};

export type Uploaded =
  | {
      readonly ok: true;
      readonly kind: "picture" | "font";
      readonly id: Id;
      readonly width: number;
      readonly height: number;
    }
  | { readonly ok: false; readonly reason: string };

const nameOf = (file: File): string =>
  file.name
    .replace(/\.[^.]*$/, "")
    .slice(0, 100)
    .trim() || sessionWords.image;

/**
 * Whether the browser itself can show a picture: a file may have a good beginning and broken
 * insides.
 */
const shows = async (file: File): Promise<boolean> => {
  try {
    (await createImageBitmap(file)).close();
    return true;
  } catch {
    return false;
  }
};

/**
 * Sends a picture or font to be kept, and makes it one of the project's. The reason is a sentence
 * for the person who dropped it.
 */
export const upload = async (session: Session, file: File): Promise<Uploaded> => {
  const font = /\.(ttf|otf|woff2?)$/i.test(file.name);
  if (!font && !(await shows(file)))
    return {
      ok: false,
      reason: sessionWords.wasNotAddedDamaged(file.name),
    };
  let answer: StoreAnswer;
  try {
    const response = await fetch(`/projects/${session.id}/assets`, {
      method: "POST",
      headers: { "Content-Type": "application/octet-stream" },
      body: file,
      signal: AbortSignal.timeout(60_000),
    });
    answer = (await response.json()) as StoreAnswer;
  } catch {
    return {
      ok: false,
      reason: sessionWords.couldNotUploadServer(file.name),
    };
  }
  if (answer.kind === "refused")
    return { ok: false, reason: sessionWords.wasNotAdded(file.name, answer.reason) };
  if (answer.kind === "picture") {
    const { kind: _, ...rest } = answer;
    const taken = takePicture(session.project, { name: nameOf(file), ...rest });
    if (taken.change && !session.edit(taken.change))
      return { ok: false, reason: sessionWords.wasNotAdded2(file.name) };
    return {
      ok: true,
      kind: "picture",
      id: taken.asset.id,
      width: rest.width,
      height: rest.height,
    };
  }
  const { hash, family, weight, bytes } = answer;
  const taken = takeFont(session.project, { name: nameOf(file), hash, family, weight, bytes });
  if (taken.change) session.edit(taken.change);
  return { ok: true, kind: "font", id: taken.asset.id, width: 0, height: 0 };
};

/** The address of a kept file. */
export const assetAddress = (hash: string): string => `/assets/${hash}`;
