import type { Page } from "puppeteer-core";
import { addDrafts, addPiece, emptyProject } from "#core/edit";
import { readSvg } from "#core/formats/svg";
import { layout } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { Resolver } from "#core/looks";
import { svgDocument } from "#core/paint";
import { ROOT, accept } from "#core/project";
import type { Change, Project } from "#core/project";

const must = (project: Project, change: Change): Project => {
  const result = accept(project, change);
  if (!result.ok) throw new Error(result.error);
  return result.project;
};

/** An SVG file read into layers and painted again by Nubble. */
export const repainted = (env: LayoutEnv, source: string): string => {
  const read = readSvg(source);
  if (!read.ok) throw new Error(read.error);
  const made = addPiece(emptyProject("Icons"), "component", "Icon");
  let project = must(emptyProject("Icons"), made.change);
  const piece = () => project.pieces[made.id] as Project["pieces"][string];
  project = must(project, addDrafts(piece(), read.picture.layers, ROOT, "Insert").change);
  project = must(project, {
    label: "Size",
    ops: [
      {
        op: "set",
        path: ["pieces", made.id, "looks", "base", "changes", ROOT],
        value: { width: read.picture.width, height: read.picture.height },
      },
    ],
  });
  const tree = new Resolver().tree(project, made.id, {});
  if (!tree) throw new Error("nothing to paint");
  return svgDocument(layout(env, tree));
};

/**
 * How far pairs of SVG documents differ when the browser paints them at a size: the mean difference
 * of a pixel, 0–1.
 */
export const differences = async (
  page: Page,
  pairs: readonly (readonly [string, string])[],
  size: number,
): Promise<number[]> => {
  // what compiles scripts on the fly wraps inner functions in a helper that the page does not have
  await page.evaluate("globalThis.__name ??= (f) => f");
  return page.evaluate(
    async (list, s) => {
      const canvas = document.createElement("canvas");
      canvas.width = canvas.height = s;
      const context = canvas.getContext("2d", {
        willReadFrequently: true,
      }) as CanvasRenderingContext2D;
      const pixels = async (svg: string) => {
        const image = new Image();
        image.src = URL.createObjectURL(new Blob([svg], { type: "image/svg+xml" }));
        await image.decode();
        context.clearRect(0, 0, s, s);
        context.drawImage(image, 0, 0, s, s);
        URL.revokeObjectURL(image.src);
        return context.getImageData(0, 0, s, s).data;
      };
      const out: number[] = [];
      for (const [a, b] of list) {
        const [p, q] = [await pixels(a), await pixels(b)];
        let sum = 0;
        for (let i = 0; i < p.length; i += 4) {
          // colours count by how much is seen of them
          const [pa, qa] = [(p[i + 3] as number) / 255, (q[i + 3] as number) / 255];
          let most = Math.abs(pa - qa);
          for (let c = i; c < i + 3; c++)
            most = Math.max(most, Math.abs((p[c] as number) * pa - (q[c] as number) * qa) / 255);
          sum += most;
        }
        out.push(sum / (s * s));
      }
      return out;
    },
    pairs as [string, string][],
    size,
  );
};
