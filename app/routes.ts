import { index, route } from "@react-router/dev/routes";
import type { RouteConfig } from "@react-router/dev/routes";

export default [
  index("routes/home.tsx"),
  route("health", "routes/health.ts"),
  route("projects/:projectId", "routes/project.tsx", [
    index("routes/overview.tsx"),
    route("system", "routes/system.tsx", [
      index("routes/system/library.tsx"),
      route("tokens", "routes/system/tokens.tsx"),
      route("timing", "routes/system/timing.tsx"),
      route("components/:componentId", "routes/system/component.tsx"),
    ]),
    route("pieces/:pieceId", "routes/bench.tsx"),
    route("play/:pieceId?/:name?", "routes/play.tsx"),
  ]),
  route("shown/:projectId/:key/:pieceId?/:name?", "routes/shown.tsx"),
  route("projects/:projectId/changes", "routes/changes.ts"),
  route("projects/:projectId/assets", "routes/assets.ts"),
  route("assets/:hash", "routes/asset.ts"),
  route("assets/:hash/face", "routes/face.ts"),
  route("projects/:projectId/snapshot", "routes/snapshot.ts"),
  route("*", "routes/nothing.tsx"),
] satisfies RouteConfig;
