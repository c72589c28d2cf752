import { request } from "node:http";
import type { IncomingHttpHeaders, RequestOptions } from "node:http";
import { connect } from "node:net";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { FORMAT, newId, set } from "#core/project";
import { sleep } from "../support/browser";
import { Projects } from "../support/projects";

let projects: Projects;
beforeAll(() => {
  projects = new Projects();
});
afterAll(() => projects.close());

interface Answer {
  readonly status: number;
  readonly headers: IncomingHttpHeaders;
  readonly text: string;
}

/** A request whose every header is ours: browsers and fetch would set some themselves. */
const ask = (
  path: string,
  { body, ...options }: RequestOptions & { body?: string } = {},
): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const sent = request(`${inject("address")}${path}`, options, (response) => {
      const chunks: Buffer[] = [];
      response.on("data", (chunk: Buffer) => chunks.push(chunk));
      response.on("end", () =>
        resolve({
          status: response.statusCode ?? 0,
          headers: response.headers,
          text: Buffer.concat(chunks).toString(),
        }),
      );
    });
    sent.on("error", reject);
    sent.end(body);
  });
const port = () => new URL(inject("address")).port;
const change = () =>
  JSON.stringify({
    format: FORMAT,
    changeId: newId(),
    clientId: "window",
    since: 0,
    base: 0,
    late: false,
    change: { label: "Name", ops: [set(["name"], "Taken over")] },
  });

describe("who is answered", () => {
  it("only loopback names with our port are: not another name that leads here", async () => {
    for (const host of [
      "evil.example",
      `evil.example:${port()}`,
      "127.0.0.1:1",
      "localhost",
      `localhost.evil.example:${port()}`,
      `127.0.0.1:${port()}.evil.example`,
    ]) {
      const answer = await ask("/projects/kelpway-kit", { headers: { host } });
      expect([answer.status, answer.text.includes("Kelpway")], host).toEqual([421, false]);
    }
    for (const host of [`localhost:${port()}`, `LOCALHOST:${port()}`, `[::1]:${port()}`])
      expect((await ask("/health", { headers: { host } })).status, host).toBe(200);
  });

  it("pages of other sites change nothing and load nothing", async () => {
    const id = await projects.fresh();
    const host = `127.0.0.1:${port()}`;
    const json = { host, "content-type": "application/json" };
    const post = (headers: Record<string, string>) =>
      ask(`/projects/${id}/changes`, {
        method: "POST",
        headers: { ...json, ...headers },
        body: change(),
      });
    expect((await post({ origin: "https://evil.example" })).status).toBe(403);
    expect((await post({ origin: "null" })).status).toBe(403);
    expect((await post({ origin: "http://127.0.0.1:1" })).status).toBe(403);
    expect((await post({ "sec-fetch-site": "cross-site" })).status).toBe(403);
    expect(
      (await post({ "sec-fetch-site": "same-site", origin: `http://localhost:${port()}` })).status,
    ).toBe(403);
    expect(
      (
        await ask("/", {
          method: "POST",
          headers: {
            host,
            origin: "https://evil.example",
            "content-type": "application/x-www-form-urlencoded",
          },
          body: "name=Evil",
        })
      ).status,
    ).toBe(403);
    expect(
      (
        await ask(`/projects/${id}.data`, {
          headers: {
            host,
            "sec-fetch-site": "cross-site",
            "sec-fetch-mode": "no-cors",
            "sec-fetch-dest": "script",
          },
        })
      ).status,
    ).toBe(403);
    expect(
      (
        await ask(`/live?watch=${id}:0`, {
          headers: {
            host,
            "sec-fetch-site": "same-site",
            "sec-fetch-mode": "cors",
            "sec-fetch-dest": "empty",
          },
        })
      ).status,
    ).toBe(403);
    expect((await projects.log.read(id))?.seq).toBe(0);
    // a link that somebody follows is not a request of that page
    expect(
      (
        await ask("/", {
          headers: {
            host,
            "sec-fetch-site": "cross-site",
            "sec-fetch-mode": "navigate",
            "sec-fetch-dest": "document",
          },
        })
      ).status,
    ).toBe(200);
    expect((await post({ origin: `http://${host}`, "sec-fetch-site": "same-origin" })).status).toBe(
      200,
    );
  });
});

describe("what every answer says", () => {
  it.each([
    "/",
    "/projects/kelpway-kit",
    "/projects/kelpway-kit.data",
    "/nowhere",
    "/health",
    "/icon.svg",
  ])("%s forbids what is not needed", async (path) => {
    const { headers } = await ask(path);
    const policy = String(headers["content-security-policy"]);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).toMatch(/script-src 'self' 'wasm-unsafe-eval' 'nonce-[\w+/=]{20,}'/);
    expect(policy).toMatch(/style-src 'self' 'nonce-/);
    expect(policy.replace("style-src-attr 'unsafe-inline'", "")).not.toMatch(
      /unsafe-inline|'unsafe-eval'|\*/,
    );
    expect(headers["x-content-type-options"]).toBe("nosniff");
    expect(headers["referrer-policy"]).toBe("same-origin");
    expect(headers["permissions-policy"]).toContain("camera=()");
    expect(headers["x-powered-by"]).toBeUndefined();
    expect(headers["access-control-allow-origin"]).toBeUndefined();
    expect(headers["cache-control"]).toBe(
      path === "/icon.svg" ? "public, max-age=3600" : "no-store",
    );
  });

  it("a page's scripts carry the number of its own answer, each time another", async () => {
    const [one, two] = [await ask("/"), await ask("/")];
    const nonceOf = ({ headers }: Answer) =>
      /'nonce-([^']+)'/.exec(String(headers["content-security-policy"]))?.[1];
    expect(nonceOf(one)).not.toBe(nonceOf(two));
    const scripts = [...one.text.matchAll(/<script(?![^>]*src=)([^>]*)>/g)].map((m) => m[1]);
    expect(scripts.length).toBeGreaterThan(1);
    expect(scripts.every((attributes) => attributes?.includes(`nonce="${nonceOf(one)}"`))).toBe(
      true,
    );
  });
});

describe("streams", () => {
  /** Reads a stream until it has said something, or for a while. */
  const read = async (
    path: string,
    until: (text: string) => boolean,
    ms = 4000,
  ): Promise<{ status: number; text: string }> => {
    const stop = new AbortController();
    const response = await fetch(`${inject("address")}${path}`, { signal: stop.signal });
    let text = "";
    const timer = setTimeout(() => stop.abort(), ms);
    try {
      for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
        text += new TextDecoder().decode(chunk);
        if (until(text)) break;
      }
    } catch {
      /* the time was up */
    }
    clearTimeout(timer);
    stop.abort();
    return { status: response.status, text };
  };
  const seqs = (text: string) => [...text.matchAll(/"seq":(\d+)/g)].map((m) => Number(m[1]));

  it("of what does not exist are not opened, and end", async () => {
    expect(await read("/live?watch=nowhere:0", () => false)).toMatchObject({ status: 404 });
    for (const query of [
      "",
      "?watch=",
      "?watch=a",
      "?watch=a:b",
      "?watch=a:-1",
      `?${"watch=a:1&".repeat(80)}`,
    ])
      expect((await ask(`/live${query}`)).status, query).toBe(400);
    expect((await ask("/projects/kelpway-kit/live.data")).status).toBe(404);
    expect((await ask("/live.data?watch=kelpway-kit:0")).status).toBe(404);
  });

  it("of several projects bring each one's changes in order, first what was missed", async () => {
    const [a, b] = [await projects.fresh(), await projects.fresh()];
    const post = (id: string) =>
      ask(`/projects/${id}/changes`, {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({
          format: FORMAT,
          changeId: newId(),
          clientId: "window",
          since: 0,
          base: 0,
          late: false,
          change: { label: "Name", ops: [set(["name"], newId())] },
        }),
      });
    for (let i = 0; i < 3; i++) await post(a);
    const heard = read(
      `/live?watch=${a}:1&watch=${b}:0&watch=nowhere:0`,
      (text) => seqs(text).length >= 2 + 2 * 20,
      15_000,
    );
    await sleep(300);
    await Promise.all(Array.from({ length: 40 }, (_, i) => post(i % 2 ? a : b)));
    const { text } = await heard;
    expect(text).toContain(`event: replaced\ndata: {"project":"nowhere"}`);
    const of = (id: string) =>
      [...text.matchAll(/data: (\{"project":.*\})\n/g)]
        .map((m) => JSON.parse(m[1] ?? "{}") as { project: string; change?: { seq: number } })
        .filter((d) => d.project === id && d.change)
        .map((d) => d.change?.seq);
    expect(of(a)).toEqual(Array.from({ length: 22 }, (_, i) => i + 2));
    expect(of(b)).toEqual(Array.from({ length: 20 }, (_, i) => i + 1));
  });

  it("that nobody reads do not grow: they are told to read anew, and ended", async () => {
    const id = await projects.fresh();
    const socket = connect(Number(port()), "127.0.0.1");
    socket.write(`GET /live?watch=${id}:0 HTTP/1.1\r\nHost: 127.0.0.1:${port()}\r\n\r\n`);
    await sleep(200);
    socket.pause();
    const text = "x".repeat(4900);
    const large = () =>
      JSON.stringify({
        format: FORMAT,
        changeId: newId(),
        clientId: "window",
        since: 0,
        base: 0,
        late: false,
        change: {
          label: "Text",
          ops: Array.from({ length: 180 }, () =>
            set(
              ["pieces", "alert-switch", "looks", "base", "changes", "label", "text"],
              text + newId(),
            ),
          ),
        },
      });
    for (let i = 0; i < 14; i++)
      expect(
        (
          await ask(`/projects/${id}/changes`, {
            method: "POST",
            headers: { "content-type": "application/json" },
            body: large(),
          })
        ).status,
      ).toBe(200);
    const ended = new Promise<string>((resolve) => {
      let last = "";
      socket.on("data", (chunk: Buffer) => {
        last = (last + chunk.toString()).slice(-2000);
      });
      socket.on("close", () => resolve(last));
      socket.on("error", () => resolve(last));
    });
    socket.resume();
    expect(await Promise.race([ended, sleep(20_000).then(() => "still open")])).toContain(
      `event: reload\ndata: {"project":"${id}"}`,
    );
  });

  it("that are far behind are told to read anew instead of being sent everything", async () => {
    const id = await projects.fresh();
    const text = "x".repeat(4900);
    for (let i = 0; i < 4; i++) {
      const ops = Array.from({ length: 90 }, () =>
        set(
          ["pieces", "alert-switch", "looks", "base", "changes", "label", "text"],
          text + newId(),
        ),
      );
      await projects.change(id, { label: "Text", ops }, i);
    }
    const heard = await read(`/live?watch=${id}:0`, (t) => t.includes("reload"));
    expect(heard.text).toContain("event: reload");
    expect(heard.text.length).toBeLessThan(5000);
    const missed = JSON.parse((await ask(`/projects/${id}/changes?since=0`)).text) as {
      changes: unknown[];
      more: boolean;
    };
    expect([missed.changes.length, missed.more]).toEqual([2, true]);
  });
});

describe("requests that make no sense", () => {
  it("are answered, each with a reason, and never as a fault of the server", async () => {
    const form = { "content-type": "application/x-www-form-urlencoded" };
    const asked: [string, RequestOptions & { body?: string }, number][] = [
      ["/projects/%00", {}, 400],
      ["/projects/%E0%A4%A", {}, 400],
      ["//", {}, 400],
      ["/projects/constructor", {}, 404],
      ["/assets/constructor", {}, 404],
      ["/projects/kelpway-kit/changes?since=x", {}, 400],
      ["/projects/kelpway-kit/changes", {}, 400],
      ["/projects/nowhere/changes?since=0", {}, 404],
      ["/projects/nowhere/snapshot", {}, 404],
      ["/?index", { method: "POST", headers: form, body: "name=%00" }, 422],
      ["/?index", { method: "POST", headers: form, body: `name=${"x".repeat(200)}` }, 422],
      ["/?index", { method: "POST", headers: form, body: `name=${"x".repeat(50_000)}` }, 400],
      [
        "/?index",
        {
          method: "POST",
          headers: { "content-type": "multipart/form-data; boundary=x" },
          body: '--x\r\nContent-Disposition: form-data; name="name"; filename="a"\r\n\r\nhi\r\n--x--',
        },
        400,
      ],
      [
        "/?index",
        { method: "POST", headers: { "content-type": "text/plain" }, body: "name=Harbour" },
        400,
      ],
      ["/", { method: "PUT", body: "x" }, 405],
      [
        "/projects/kelpway-kit/assets",
        { method: "POST", headers: { "content-type": "application/octet-stream" }, body: "" },
        422,
      ],
      [
        "/projects/kelpway-kit/changes",
        {
          method: "POST",
          headers: { "content-type": "application/json", "content-length": "99999999" },
        },
        413,
      ],
    ];
    for (const [path, options, status] of asked) {
      const answer = await ask(path, options).catch((error: unknown) => ({
        status: String(error),
        text: "",
      }));
      expect(
        answer.status,
        `${options.method ?? "GET"} ${path} ${options.body?.slice(0, 30) ?? ""}`,
      ).toBe(status);
    }
  });

  it("pieces that are called like what every object has are not there", async () => {
    for (const name of ["constructor", "toString", "__proto__", "hasOwnProperty"]) {
      expect((await ask(`/projects/kelpway-kit/pieces/${name}`)).text, name).toContain(
        "Piece not found",
      );
      expect((await ask(`/projects/kelpway-kit/play/${name}`)).text, name).toContain(
        "Screen not found",
      );
    }
  });
});
