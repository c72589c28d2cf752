import fc from "fast-check";
import { FORMAT, newId } from "#core/project";

/** A request that nobody means well by, or that is nearly right. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Uint8Array | string | null;
}

const words = fc.constantFrom(
  "constructor",
  "__proto__",
  "toString",
  "hasOwnProperty",
  "alert-switch",
  "kelpway-kit",
  "root",
  "base",
  "knob",
  "nowhere",
  "%00",
  "%ff",
  "..%2f..",
  "a".repeat(300),
  "🚢",
  "-1",
  "0",
  "null",
  "'; drop table projects; --",
  "<script>",
);
const segment = fc.oneof(
  { weight: 3, arbitrary: words },
  {
    weight: 1,
    arbitrary: fc.string({ maxLength: 30 }).map((s) => encodeURIComponent(s.toWellFormed())),
  },
);

const text = fc.oneof(
  fc.constantFrom(
    "",
    " ",
    "\u0000",
    "\ud83d",
    "\udc00x",
    "x".repeat(5001),
    "!",
    "a0",
    "A00000000000000000000000000",
    "zzzz",
    "url(javascript:alert(1))",
    "#ffffff",
    "#fff",
    "none",
    "NaN",
    "1e999",
    "\u202e\u0000",
  ),
  fc.string({ unit: "binary", maxLength: 40 }),
);
const leaf = fc.oneof(
  text,
  fc.double(),
  fc.integer(),
  fc.boolean(),
  fc.constant(null),
  fc.constantFrom(-0, 1e308, -1e308, 2 ** 53),
);
const value = fc.letrec((tie) => ({
  any: fc.oneof(
    { maxDepth: 4, depthSize: "small" },
    leaf,
    fc.array(tie("any"), { maxLength: 5 }),
    fc.dictionary(fc.oneof(text, words), tie("any"), { maxKeys: 5 }),
  ),
})).any;

const layerKeys = [
  "x",
  "y",
  "width",
  "height",
  "fill",
  "text",
  "radius",
  "shadows",
  "shape",
  "opacity",
  "component",
  "icon",
  "picture",
  "font",
  "visible",
  "rotation",
  "trait:alerts",
  "option:x",
  "nokey",
  "takes",
  "role",
  "entry",
];
const plainNumber = fc.oneof(
  fc.integer({ min: -2000, max: 2000 }),
  fc.double({ min: -1e6, max: 1e6, noNaN: true }),
);

/** Records that may well be accepted: then they must also be shown. */
const layerOp = fc
  .record({
    id: fc.constantFrom("a1", "b2", "c3", "knob", "label"),
    parent: fc.constantFrom("root", "a1", "b2", "c3", "knob", "gone"),
    kind: fc.constantFrom(
      "box",
      "ellipse",
      "line",
      "polygon",
      "path",
      "compound",
      "text",
      "picture",
      "icon",
      "instance",
    ),
    order: fc.constantFrom("a0", "a1", "a1V", "Zz", "b00", "!"),
  })
  .map(({ id, ...rest }) => ({
    op: "set",
    path: ["pieces", "alert-switch", "layers", id],
    value: { id, name: "Fuzz", ...rest },
  }));
const saidOp = fc
  .record({
    layer: fc.constantFrom("a1", "b2", "c3", "knob", "label", "root", "track"),
    key: fc.constantFrom(...layerKeys),
    said: fc.oneof(
      plainNumber,
      text,
      value,
      fc.constantFrom("alert-switch", "deck-tabs", "trip-settings", "gone"),
      fc.boolean(),
      fc.constant({ token: "gone" }),
    ),
  })
  .map(({ layer, key, said }) => ({
    op: "set",
    path: ["pieces", "alert-switch", "looks", "base", "changes", layer, key],
    value: said,
  }));
const ruleOp = fc
  .record({
    trigger: fc.constantFrom(
      "click",
      "press",
      "enter",
      "hover",
      "delay",
      "key",
      "signal",
      "drag",
      "nothing",
    ),
    effect: fc.constantFrom(
      { type: "set", trait: "gone", to: { step: "next" } },
      { type: "stir" },
      { type: "go", screen: "gone" },
      { type: "open", screen: "alert-switch" },
      { type: "address", to: "javascript:alert(1)" },
      { type: "address", to: "https://example.com" },
    ),
    source: fc.constantFrom(null, "knob", "gone"),
    ms: fc.constantFrom(0, 1, 600_000, -1, 1e9),
  })
  .map(({ trigger, effect, source, ms }) => ({
    op: "set",
    path: ["pieces", "alert-switch", "rules", "fuzz"],
    value: {
      id: "fuzz",
      order: "a1",
      on: true,
      source,
      when: {},
      undo: false,
      trigger: { type: trigger, ms },
      effects: [effect],
      motion: { kind: "tween", duration: ms, delay: 0, easing: "ease" },
    },
  }));
const number = fc.constantFrom("1.0.0", "9.9.9", "1", "", "01.0.0", "1.0.0-\u0000", "x".repeat(90));
/** Adoptions of what is not there, or of oneself. */
const adoptionOp = fc
  .record({
    id: fc.constantFrom("kit", "sea", "kit.sea", "__proto__", ""),
    system: fc.oneof(fc.constantFrom("kelpway-kit", "island-app", "nobody"), text),
    edition: fc.constantFrom("0".repeat(64), "f".repeat(64), "x", ""),
    number,
  })
  .map(({ id, ...rest }) => ({
    op: "set",
    path: ["adoptions", id],
    value: { id, order: "a0", name: "Fuzz", ...rest },
  }));
const anyOp = fc.record({
  op: fc.constantFrom("set", "remove", "move"),
  path: fc.array(
    fc.oneof(
      words,
      text,
      fc.constantFrom(
        "pieces",
        "tokens",
        "assets",
        "adoptions",
        "name",
        "layers",
        "looks",
        "rules",
        "traits",
        "changes",
        "start",
        "format",
      ),
    ),
    { maxLength: 9 },
  ),
  value,
});
const removeOp = fc
  .constantFrom(
    ["pieces", "deck-tabs"],
    ["pieces", "alert-switch", "layers", "label"],
    ["pieces", "alert-switch", "traits", "alerts"],
    ["tokens", "kelp"],
    ["pieces", "alert-switch", "looks", "base"],
    ["pieces", "alert-switch", "layers", "root"],
    ["pieces"],
    ["name"],
  )
  .map((path) => ({ op: "remove", path }));
const goodOp = fc.oneof(layerOp, { weight: 3, arbitrary: saidOp }, ruleOp, removeOp);
const mixedOp = fc.oneof({ weight: 5, arbitrary: goodOp }, adoptionOp);

/** Editions to be published or withdrawn that nobody looked at before. */
const editionAsked = fc.record(
  {
    intent: fc.constantFrom("publish", "withdraw", "adopt"),
    seq: fc.constantFrom(0, 1, -1, 2 ** 40),
    number,
    name: text,
    notes: fc.oneof(text, fc.constant("[x](javascript:alert(1))\n".repeat(50))),
    reasons: fc.oneof(fc.constant([]), value),
    lowered: fc.oneof(fc.constant(null), text),
    withdrawn: fc.oneof(fc.constant(null), text),
  },
  { requiredKeys: ["intent", "number"] },
);

const proposal = fc.record({
  format: fc.constantFrom(FORMAT, FORMAT, 1, 0, FORMAT + 1, undefined),
  changeId: fc.constant(null).map(() => newId()),
  clientId: fc.constantFrom("fuzzing", "x", "\u0000"),
  since: fc.constantFrom(0, 1, 5, -1, 2 ** 40),
  base: fc.constantFrom(0, 1, 2 ** 31),
  late: fc.boolean(),
  change: fc.record({
    label: fc.oneof(fc.constant("Fuzz"), text),
    ops: fc.oneof(
      { weight: 4, arbitrary: fc.array(mixedOp, { minLength: 1, maxLength: 4 }) },
      { weight: 1, arbitrary: fc.array(anyOp, { maxLength: 6 }) },
    ),
  }),
});
const good = fc.array(goodOp, { minLength: 1, maxLength: 3 }).map((ops) => ({
  format: FORMAT,
  changeId: newId(),
  clientId: "fuzzing",
  since: 0,
  base: 0,
  late: false,
  change: { label: "Fuzz", ops },
}));

const magic = fc.constantFrom(
  "wOFF",
  "wOF2",
  "OTTO",
  "true",
  "ttcf",
  "\u0000\u0001\u0000\u0000",
  "\u0089PNG\r\n\u001a\n",
  "GIF89a",
  "RIFF\u0010\u0000\u0000\u0000WEBP",
  "\u00ff\u00d8\u00ff\u00e0",
  "<svg>",
  "PK\u0003\u0004",
  "",
);
const file = fc
  .tuple(magic, fc.uint8Array({ maxLength: 4000 }))
  .map(([head, rest]) => new Uint8Array(Buffer.concat([Buffer.from(head, "latin1"), rest])));

const get = (path: string): Asked => ({ method: "GET", path, headers: {}, body: null });
const post = (path: string, type: string, body: Uint8Array | string): Asked => ({
  method: "POST",
  path,
  headers: { "content-type": type },
  body,
});

/** Requests of every route of a project: most of them wrong in one way or another. */
export const requests = (id: string): fc.Arbitrary<Asked> => {
  const project = fc.oneof({ weight: 3, arbitrary: fc.constant(id) }, segment);
  const changes = `/projects/${id}/changes`;
  return fc.oneof(
    { weight: 6, arbitrary: good.map((p) => post(changes, "application/json", JSON.stringify(p))) },
    {
      weight: 5,
      arbitrary: proposal.map((p) => post(changes, "application/json", JSON.stringify(p))),
    },
    {
      weight: 2,
      arbitrary: fc
        .tuple(
          project,
          fc.oneof(
            fc.string({ unit: "binary" }),
            fc.json(),
            fc.integer({ min: 100, max: 20_000 }).map((n) => "[".repeat(n)),
          ),
        )
        .map(([p, body]) => post(`/projects/${p}/changes`, "application/json", body)),
    },
    {
      weight: 3,
      arbitrary: file.map((bytes) =>
        post(`/projects/${id}/assets`, "application/octet-stream", bytes),
      ),
    },
    {
      weight: 3,
      arbitrary: fc
        .tuple(project, editionAsked)
        .map(([p, asked]) =>
          post(`/projects/${p}/editions`, "application/json", JSON.stringify(asked)),
        ),
    },
    {
      weight: 3,
      arbitrary: fc
        .tuple(
          fc.constantFrom("/system/editions/", "/system/adopted/", "/system/components/kit."),
          segment,
        )
        .map(([way, s]) => get(`/projects/${id}${way}${s}`)),
    },
    { weight: 1, arbitrary: segment.map((s) => get(`/editions/${s}`)) },
    {
      weight: 2,
      arbitrary: fc
        .tuple(fc.constantFrom("/?index", "/?index&_data=x", "/.data?index"), text)
        .map(([path, name]) =>
          post(
            path,
            "application/x-www-form-urlencoded",
            `name=${encodeURIComponent(name.toWellFormed())}%00`,
          ),
        ),
    },
    {
      weight: 1,
      arbitrary: fc
        .tuple(
          fc.constantFrom("multipart/form-data", "text/plain", "application/xml", ""),
          fc.string(),
        )
        .map(([type, body]) => post("/?index", type, body)),
    },
    {
      weight: 4,
      arbitrary: fc.tuple(project, segment).map(([p, s]) => get(`/projects/${p}/pieces/${s}`)),
    },
    {
      weight: 2,
      arbitrary: fc
        .tuple(
          project,
          fc.constantFrom(
            "",
            "/system",
            "/play",
            "/snapshot",
            ".data",
            "/snapshot.data",
            "/system.data",
            "/nothing",
            "/live",
            "/changes.data",
          ),
        )
        .map(([p, s]) => get(`/projects/${p}${s}`)),
    },
    {
      weight: 2,
      arbitrary: fc
        .tuple(project, segment)
        .map(([p, s]) => get(`/projects/${p}/changes?since=${s}`)),
    },
    {
      weight: 2,
      arbitrary: fc
        .tuple(segment, fc.constantFrom("", "/face", ".data", "/face.data"))
        .map(([h, s]) => get(`/assets/${h}${s}`)),
    },
    {
      weight: 1,
      arbitrary: fc
        .array(segment, { maxLength: 3 })
        .map((all) => get(`/live?${all.map((s) => `watch=${s}:x`).join("&")}`)),
    },
    { weight: 1, arbitrary: segment.map((s) => get(`/${s}`)) },
    {
      weight: 1,
      arbitrary: fc
        .tuple(fc.constantFrom("PUT", "DELETE", "PATCH", "OPTIONS", "HEAD"), project)
        .map(([method, p]) => ({ method, path: `/projects/${p}`, headers: {}, body: null })),
    },
  );
};
