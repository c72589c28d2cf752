import { newId, set } from "../../project";
import type { Change, Project } from "../../project";
import type { Asset, FontAsset, IconAsset, PictureAsset } from "../../properties";
import { editWords } from "../words";

/** A change that makes an asset known to a project, if it has to be, and the asset. */
export interface Taken<A extends Asset> {
  readonly change: Change | null;
  readonly asset: A;
}

const add = <A extends Asset>(known: Asset | undefined, asset: A): Taken<A> => {
  // what is known was found by the contents of the asset, so it is of its kind
  if (known) return { change: null, asset: known as A };
  const label = editWords.add(asset.kind, asset.name).slice(0, 200);
  return { asset, change: { label, ops: [set(["assets", asset.id], asset)] } };
};

/** Takes an icon over; one of the same name and drawing is not taken twice. */
export const takeIcon = (
  project: Project,
  icon: Omit<IconAsset, "id" | "kind">,
): Taken<IconAsset> => {
  const known = Object.values(project.assets).find(
    (a) =>
      a.kind === "icon" &&
      a.name === icon.name &&
      JSON.stringify(a.shapes) === JSON.stringify(icon.shapes),
  );
  return add(known, { id: newId(), kind: "icon", ...icon });
};

/** Takes a kept picture over; the same contents are not taken twice. */
export const takePicture = (
  project: Project,
  picture: Omit<PictureAsset, "id" | "kind">,
): Taken<PictureAsset> =>
  add(
    Object.values(project.assets).find((a) => a.kind === "picture" && a.hash === picture.hash),
    { id: newId(), kind: "picture", ...picture },
  );

/** Takes a kept font over, for its family and weight. */
export const takeFont = (
  project: Project,
  font: Omit<FontAsset, "id" | "kind">,
): Taken<FontAsset> =>
  add(
    Object.values(project.assets).find((a) => a.kind === "font" && a.hash === font.hash),
    { id: newId(), kind: "font", ...font },
  );
