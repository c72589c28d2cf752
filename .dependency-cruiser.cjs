/** The house: who may lean on whom. */
const room = (name, from, to) => ({
  name,
  severity: "error",
  from: { path: from, pathNot: "\\.test\\.tsx?$" },
  to: { path: to },
});
/** The rooms of core in the order in which they stand: each may lean on those before it. */
const order = [
  ["basics"],
  ["geometry", "colour"],
  ["properties"],
  ["project"],
  ["world"],
  ["looks"],
  ["layout"],
  ["paint"],
  ["combine"],
  ["paths"],
  ["motion"],
  ["machine"],
  ["access"],
  ["runtime"],
  ["describe"],
  ["gather"],
  ["formats/svg", "formats/motion", "formats/scxml", "formats/tokens", "formats/project"],
  ["edit"],
  ["rehearse"],
  ["checks"],
  ["library"],
  ["system", "history"],
];
/** Files of the vocabulary that belong to a room: each kind has one for each room that needs it. */
const facets = { project: ["schema"], machine: ["machine", "trouble"], "formats/scxml": ["scxml"] };
const ofKinds = (room) => `vocabulary/[^/]+/[^/]+/(${facets[room].join("|")})\\.ts$`;
/** What belongs to a room: its folder, and what kinds have for it. */
const inside = (room) => (facets[room] ? `(${room}/|${ofKinds(room)})` : `${room}/`);
const stands = order.flatMap((level, i) => {
  const later = order.slice(i + 1).flat();
  return level.flatMap((name) => {
    const beside = [...level.filter((other) => other !== name), ...later];
    if (beside.length === 0) return [];
    const to = `^core/(${beside.map(inside).join("|")})`;
    return [room(`${name}-stands-before`, `^core/${inside(name)}`, to)];
  });
});
const anyRoom = "(formats/[^/]+|[^/]+)";
const anyIndex = `^core/${anyRoom}/index\\.ts$`;
/** What kinds have for a room is used by that room alone, and may use all of it. */
const kinds = Object.keys(facets).flatMap((name) => [
  room(`kinds-are-gathered-by-${name}`, `^(?!core/${name}/)`, `^core/${ofKinds(name)}`),
  {
    name: `kinds-lean-on-${name}`,
    severity: "error",
    from: { path: `^core/${ofKinds(name)}` },
    to: { path: "^core/", pathNot: [`^core/${name}/`, anyIndex, "^core/vocabulary/words\\.ts$"] },
  },
]);

/**
 * The rooms of the app in the order in which they stand: each may lean on those before it, and none
 * on its neighbours. What puts rooms together (the top of the bench, routes) may use all of them.
 */
const appOrder = [
  ["ui"],
  ["services"],
  ["session"],
  ["parts"],
  ["bench/state"],
  ["bench/commands"],
  [
    "bench/checks",
    "bench/dialogs",
    "bench/guide",
    "bench/map",
    "bench/rehearsals",
    "bench/rules",
    "bench/sheet",
    "bench/stage",
    "bench/timing",
    "bench/tools",
    "bench/traits",
    "bench/tree",
    "bench/try",
    "play",
    "projects",
    "rehearsals",
    "system",
  ],
  // pages of components show tokens as the system does
  ["library"],
  ["editions"],
  // moments are compared as editions are
  ["history"],
];
const together = "(bench/[^/]+\\.(ts|tsx)$|routes/|http/|root\\.tsx|entry)";
const appStands = appOrder.flatMap((level, i) =>
  level.map((name) => {
    const beside = [...level.filter((other) => other !== name), ...appOrder.slice(i + 1).flat()];
    const to = [...beside.map((other) => `${other}/`), together].join("|");
    return room(`app-${name}-stands-before`, `^app/${name}/`, `^app/(${to})`);
  }),
);

module.exports = {
  forbidden: [
    ...stands,
    ...kinds,
    ...appStands,
    {
      name: "every-room-of-the-app-has-its-place",
      comment: "a new room of the app is put into the order",
      severity: "error",
      from: {
        path: "^app/",
        pathNot: [
          `^app/(${appOrder
            .flat()
            .map((name) => `${name}/`)
            .join("|")}|${together})`,
          "^app/(routes|load-context\\.d)\\.ts$",
          "^app/theme/",
        ],
      },
      to: {},
    },
    {
      name: "rooms-through-their-index",
      comment: "a room of core is used through its index.ts",
      severity: "error",
      from: { path: `^core/${anyRoom}/`, pathNot: "^core/vocabulary/" },
      to: { path: "^core/", pathNot: ["^core/$1/", "^core/vocabulary/", anyIndex] },
    },
    {
      name: "core-through-its-indexes",
      severity: "error",
      from: { pathNot: "^core/" },
      to: { path: "^core/", pathNot: anyIndex },
    },
    {
      name: "every-room-has-its-place",
      comment: "a new room of core is put into the order",
      severity: "error",
      from: {
        path: "^core/",
        pathNot: [`^core/(${order.flat().map(inside).join("|")})`, "\\.test\\.ts$"],
      },
      to: {},
    },
    room("core-stands-alone", "^core/", "^(player|server|app|workers|demo|scripts|tests)/"),
    room(
      "core-knows-no-platform",
      "^core/",
      "(^|/)node_modules/(react|react-dom|react-router|sequelize|pg|express)(/|$)",
    ),
    {
      name: "core-knows-no-node",
      severity: "error",
      from: { path: "^core/", pathNot: "\\.test\\.ts$" },
      to: { dependencyTypes: ["core"] },
    },
    room("player-leans-on-core-only", "^player/", "^(server|app|workers|demo|scripts|tests)/"),
    room(
      "player-has-no-react",
      "^player/",
      "(^|/)node_modules/(react|react-dom|react-router|zod)(/|$)",
    ),
    room("server-leans-on-core-only", "^server/", "^(player|app|workers|demo|scripts|tests)/"),
    room("server-has-no-react", "^server/", "(^|/)node_modules/(react|react-dom)(/|$)"),
    room("workers-lean-on-core-only", "^workers/", "^(player|server|app|demo|scripts|tests)/"),
    room("demo-leans-on-core-only", "^demo/", "^(player|server|app|workers|scripts|tests)/"),
    room("app-does-not-need-demo", "^app/", "^(demo|scripts|tests)/"),
    {
      name: "no-circles",
      severity: "error",
      from: {},
      to: { circular: true },
    },
    {
      name: "nothing-missing",
      severity: "error",
      from: {},
      to: { couldNotResolve: true, pathNot: "(^#fonts|^virtual:|\\?url$|\\+types)" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
      mainFields: ["module", "main", "types"],
    },
  },
};
