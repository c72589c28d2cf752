import { useEffect, useState } from "react";
import type { Reference } from "#core/project";
import { assetAddress } from "../../session/assets";
import { useDisplayedProject } from "../../session/displayed";

/** The pixels of a reference picture once it has come, to be read. */
export const usePixels = (reference: Reference | null): ImageData | null => {
  const asset = useDisplayedProject((p) => p.assets[reference?.picture ?? ""]);
  const picture = asset?.kind === "picture" ? asset : null;
  const [pixels, setPixels] = useState<ImageData | null>(null);
  useEffect(() => {
    if (!picture) return;
    let stale = false;
    const image = new Image();
    image.src = assetAddress(picture.hash);
    void image.decode().then(
      () => {
        const context = new OffscreenCanvas(picture.width, picture.height).getContext("2d");
        context?.drawImage(image, 0, 0, picture.width, picture.height);
        if (!stale && context) setPixels(context.getImageData(0, 0, picture.width, picture.height));
      },
      () => undefined,
    );
    return () => {
      stale = true;
    };
  }, [picture]);
  return pixels;
};
