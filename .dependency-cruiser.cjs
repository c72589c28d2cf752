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
  ["looks"],
  ["layout"],
  ["paint"],
  ["paths"],
  ["motion"],
  ["machine"],
  ["runtime"],
  ["describe"],
  ["gather"],
  ["formats/svg", "formats/motion", "formats/scxml"],
  ["edit"],
  ["rehearse"],
  ["checks"],
];
const stands = order.flatMap((level, i) => {
  const later = order.slice(i + 1).flat();
  return level.map((name) => {
    const beside = [...level.filter((other) => other !== name), ...later];
    return room(`${name}-stands-before`, `^core/${name}/`, `^core/(${beside.join("|")})/`);
  });
});
const anyRoom = "(formats/[^/]+|[^/]+)";

module.exports = {
  forbidden: [
    ...stands,
    {
      name: "rooms-through-their-index",
      comment: "a room of core is used through its index.ts",
      severity: "error",
      from: { path: `^core/${anyRoom}/` },
      to: { path: "^core/", pathNot: ["^core/$1/", `^core/${anyRoom}/index\\.ts$`] },
    },
    {
      name: "core-through-its-indexes",
      severity: "error",
      from: { pathNot: "^core/" },
      to: { path: "^core/", pathNot: `^core/${anyRoom}/index\\.ts$` },
    },
    {
      name: "every-room-has-its-place",
      comment: "a new room of core is put into the order",
      severity: "error",
      from: { path: "^core/", pathNot: `^core/(${order.flat().join("|")})/` },
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
