/** The house: who may lean on whom. */
const room = (name, from, to) => ({
  name,
  severity: "error",
  from: { path: from, pathNot: "\\.test\\.tsx?$" },
  to: { path: to },
});
module.exports = {
  forbidden: [
    room("core-stands-alone", "^core/", "^(player|server|app|workers|demo|scripts|tests)/"),
    room("basics-lean-on-nothing", "^core/basics/", "^core/(?!basics)"),
    room("geometry-leans-on-nothing", "^core/geometry/", "^core/(?!basics|geometry)"),
    room("colour-leans-on-nothing", "^core/colour/", "^core/(?!basics|colour)"),
    room("properties-know-no-project", "^core/properties/", "^core/project/"),
    room("paint-knows-no-motion", "^core/paint/", "^core/motion/"),
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
      to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } },
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
