import type { Guide } from "#core/edit";

/** The lines a tool's point has caught on. */
export const Guides = ({ guides, zoom }: { guides: readonly Guide[]; zoom: number }) =>
  guides.map((g, i) => (
    <line
      key={i}
      className="guide"
      {...(g.axis === "x"
        ? { x1: g.at * zoom, x2: g.at * zoom, y1: g.from * zoom, y2: g.to * zoom }
        : { y1: g.at * zoom, y2: g.at * zoom, x1: g.from * zoom, x2: g.to * zoom })}
    />
  ));
