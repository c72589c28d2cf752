import { readFileSync } from "node:fs";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { emptyProject } from "#core/edit";
import { launch } from "../support/browser";
import { Designer } from "../support/designer";
import { fontFiles } from "../support/fonts";
import { Projects } from "../support/projects";

const picture = readFileSync(new URL("../../demo/pictures/saloon.png", import.meta.url));
const font = fontFiles.woff2;

let me: Designer;
let close: () => Promise<void>;
let projects: Projects;
let id: string;
beforeAll(async () => {
  const opened = await launch();
  close = opened.close;
  projects = new Projects();
  id = await projects.fresh(emptyProject("Harbour files"));
  me = await Designer.at(opened.browser, projects.address(id));
});
afterAll(async () => {
  await close();
  await projects.close();
});

const send = async (bytes: Uint8Array, type = "application/octet-stream", project = id) => {
  const answer = await fetch(`${inject("address")}/projects/${project}/assets`, {
    method: "POST",
    headers: { "Content-Type": type },
    body: new Uint8Array(bytes),
  });
  return {
    status: answer.status,
    body: (await answer.json()) as {
      kind: string;
      reason?: string;
      hash?: string;
      family?: string;
      width?: number;
    },
  };
};

describe("files", () => {
  it("are kept once by their contents and served for ever, never as a page", async () => {
    const [first, second] = [await send(picture), await send(picture)];
    expect(first.body).toMatchObject({ kind: "picture", width: 480 });
    expect(second.body.hash).toBe(first.body.hash);
    const served = await fetch(`${inject("address")}/assets/${first.body.hash}`);
    expect(served.headers.get("cache-control")).toContain("immutable");
    expect(served.headers.get("content-type")).toBe("image/png");
    expect(served.headers.get("x-content-type-options")).toBe("nosniff");
    expect(Buffer.from(await served.arrayBuffer()).equals(picture)).toBe(true);
    expect((await fetch(`${inject("address")}/assets/${"0".repeat(64)}`)).status).toBe(404);
  });

  it("that are broken, too large or no pictures are refused with the reason", async () => {
    expect(await send(picture.subarray(0, picture.length - 200))).toMatchObject({
      status: 422,
      body: { kind: "refused", reason: expect.stringContaining("incomplete") as string },
    });
    expect((await send(new Uint8Array(9_000_000))).body.reason).toMatch(
      /larger than 8 MB|no picture/,
    );
    expect((await send(Buffer.from("<html>ahoy</html>"))).body.reason).toContain(
      "not a supported image",
    );
    expect(await send(picture, "image/png")).toMatchObject({ status: 415 });
    expect(await send(picture, "application/octet-stream", "nowhere")).toMatchObject({
      status: 404,
    });
    expect((await send(new Uint8Array(4))).body.reason).toContain("empty");
  });

  it("of fonts say their family and have measures, in whatever form they come", async () => {
    const widths = new Map<string, number>();
    for (const [form, bytes] of Object.entries(fontFiles)) {
      const { body } = await send(bytes);
      expect(body, form).toMatchObject({
        kind: "font",
        family: form === "otf" ? "Tidemark" : "Caveat",
      });
      const face = (await (
        await fetch(`${inject("address")}/assets/${body.hash}/face`)
      ).json()) as { upm: number; advances: Record<string, number> };
      widths.set(form, (face.advances.a ?? 0) / face.upm);
      // what is measured is what the browser sets with the very same file
      const drawn = await me.page.evaluate(async (hash) => {
        const own = await new FontFace("Measured", `url(/assets/${hash})`).load();
        document.fonts.add(own);
        const context = new OffscreenCanvas(10, 10).getContext(
          "2d",
        ) as OffscreenCanvasRenderingContext2D;
        context.font = "100px Measured";
        const width = context.measureText("a").width;
        document.fonts.delete(own);
        return width / 100;
      }, body.hash);
      expect(drawn, form).toBeCloseTo(widths.get(form) as number, 3);
    }
    expect(new Set([widths.get("woff2"), widths.get("woff"), widths.get("ttf")]).size).toBe(1);
    expect(widths.get("otf")).toBe(0.64);
    const broken = await send(font.subarray(0, 400));
    expect(broken.body.reason).toContain("cannot be read");
  });

  it("dropped onto a card become layers: a picture, a drawing, and a font one can choose; what cannot be kept is named", async () => {
    await me.until(async () => {
      await me.click("button", "New component");
      await me.find("tree", "Layers");
    });
    const drop = (name: string, type: string, base64: string) =>
      me.page.evaluate(
        (n, t, b) => {
          const bytes = Uint8Array.from(atob(b), (c) => c.charCodeAt(0));
          const data = new DataTransfer();
          data.items.add(new File([bytes], n, { type: t }));
          const scene = document.querySelector(".scene") as HTMLElement;
          const box = scene.getBoundingClientRect();
          scene.dispatchEvent(
            new DragEvent("drop", {
              dataTransfer: data,
              bubbles: true,
              cancelable: true,
              clientX: box.x + 40,
              clientY: box.y + 30,
            }),
          );
        },
        name,
        type,
        base64,
      );
    await drop("saloon.png", "image/png", picture.toString("base64"));
    await me.find("treeitem", "saloon");
    await me.until(async () =>
      expect(await me.page.$eval(".card-variant image", (i) => i.getAttribute("href"))).toMatch(
        /^\/assets\/[0-9a-f]{64}$/,
      ),
    );
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><rect id="Hull" width="40" height="20" fill="#17495c"/><script>alert(1)</script><rect width="9" height="9" fill="url(#p)"/><pattern id="p"/></svg>';
    await drop("boat.svg", "image/svg+xml", Buffer.from(svg).toString("base64"));
    await me.find("treeitem", "Hull");
    expect(await me.text(".scope-hint")).toMatch(/Imported “boat” as layers. Left out: .*a script/);
    await drop("caveat.woff2", "font/woff2", font.toString("base64"));
    await me.until(async () => expect(await me.text(".scope-hint")).toContain("to the project"));
    await drop("broken.png", "image/png", picture.subarray(0, 300).toString("base64"));
    await me.until(async () =>
      expect(await me.text(".scope-hint")).toContain("“broken.png” was not added"),
    );
    await me.saved();
    expect(me.complaints).toEqual([]);
  });
});
