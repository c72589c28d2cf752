import { useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { layout } from "#core/layout";
import { Resolver, restingVariant } from "#core/looks";
import { paint } from "#core/paint";
import type { Project, Variant } from "#core/project";
import { Drawing } from "#player";
import { useEnv } from "../../services/env";

interface Props {
  readonly project: Project;
  readonly piece: string;
  /** the resting one where nothing is said */
  readonly variant?: Variant;
}

/** A piece in a variant, made as large as its room allows, at most at real size. */
export const Thumbnail = ({ project, piece: id, variant }: Props) => {
  const env = useEnv(project.assets);
  const host = useRef<SVGSVGElement>(null);
  const drawing = useRef<Drawing>(null);
  const [resolver] = useState(() => new Resolver());
  const [near, setNear] = useState(false);
  useEffect(() => {
    if (!host.current) return;
    // hundreds of pieces are not painted before one comes near them
    const watch = new IntersectionObserver(
      (entries) => {
        if (entries.some((e) => e.isIntersecting)) {
          setNear(true);
          watch.disconnect();
        }
      },
      { rootMargin: "200px" },
    );
    watch.observe(host.current);
    return () => watch.disconnect();
  }, []);
  const placed = useMemo(() => {
    if (!near) return null;
    const piece = project.pieces[id];
    const tree = env && piece && resolver.tree(project, id, variant ?? restingVariant(piece));
    return env && tree ? layout(env, tree) : null;
  }, [env, project, id, variant, resolver, near]);
  useLayoutEffect(() => {
    if (!host.current) return;
    drawing.current ??= new Drawing(host.current);
    drawing.current.draw(placed && paint(placed, true));
  }, [placed]);
  const w = placed?.width ?? 1;
  const h = placed?.height ?? 1;
  return (
    <svg
      ref={host}
      viewBox={`0 0 ${w} ${h}`}
      style={{ width: "100%", height: "100%", maxWidth: w, maxHeight: h, overflow: "visible" }}
      aria-hidden="true"
    />
  );
};
