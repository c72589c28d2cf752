import { emptyProject } from "../../core/edit/index.ts";
import type { LayoutEnv } from "../../core/layout/index.ts";
import {
  BASE,
  ROOT,
  apply,
  inOrder,
  orderAfter,
  qualified,
  set,
} from "../../core/project/index.ts";
import type { Op, Piece, Project } from "../../core/project/index.ts";
import { contentOf, numberEdition, obstaclesIn, reportOn } from "../../core/system/index.ts";
import { worldOf } from "../../core/world/index.ts";
import { copy, piece } from "../../demo/build.ts";
import { kelpwayKit } from "../../demo/index.ts";
import { median } from "./support.ts";
import type { Line } from "./support.ts";

const PUBLISHED = 300;
const CHANGED = 50;
const SCREENS = 200;
/** copies on each screen */
const COPIES = 10;
const ADOPTION = "kit";

/** The components of the kit over and over, as many as asked for. */
const systemOf = (size: number): Project => {
  const kit = kelpwayKit();
  const components = inOrder(kit.pieces).filter((p) => p.kind === "component");
  const pieces = components.slice(0, size);
  for (let i = pieces.length; i < size; i++) {
    const of = components[i % components.length] as Piece;
    const order = orderAfter(pieces.slice(-1));
    pieces.push({ ...of, id: `${of.id}-${i}`, name: `${of.name} ${i}`, order });
  }
  return contentOf({ ...kit, pieces: Object.fromEntries(pieces.map((p) => [p.id, p])) });
};

/** Each component paler, and without its first rule: all of them look otherwise, most do. */
const changed = (system: Project): Project => {
  const ops = Object.values(system.pieces).flatMap(({ id, rules }): Op[] => [
    set(["pieces", id, "looks", BASE, "changes", ROOT, "opacity"], 0.9),
    ...inOrder(rules)
      .slice(0, 1)
      .map((rule) => set(["pieces", id, "rules", rule.id, "on"], false)),
  ]);
  return contentOf(apply(system, ops).doc);
};

/** Screens with some of the components on each, in turn. */
const appOf = (system: Project): Project => {
  const components = inOrder(system.pieces);
  const pieces: Piece[] = [];
  for (let i = 0; i < SCREENS; i++) {
    const inside = Array.from({ length: COPIES }, (_, at) => {
      const of = components[(i * COPIES + at) % components.length] as Piece;
      return copy(`copy-${at}`, `Copy ${at}`, { component: qualified(ADOPTION, of.id) });
    });
    const values = { width: 390, heightMode: "fit", arrange: "column", gap: 8 };
    const source = { id: `screen-${i}`, name: `Screen ${i}`, values, inside };
    pieces.push(piece({ ...source, kind: "screen" }, orderAfter(pieces.slice(-1))));
  }
  const adoption = { id: ADOPTION, order: "a0", system: "kit", name: "Kit", number: "1.0.0" };
  return {
    ...emptyProject("Island app"),
    pieces: Object.fromEntries(pieces.map((p) => [p.id, p])),
    adoptions: { [ADOPTION]: { ...adoption, edition: "before" } },
  };
};

const ended = <S, T>(run: Generator<S, T>): T => {
  let step = run.next();
  while (!step.done) step = run.next();
  return step.value;
};

/** What a call gives, and how long it took, s. */
const timed = <T>(call: () => T): readonly [T, string] => {
  const begin = performance.now();
  const result = call();
  return [result, `${((performance.now() - begin) / 1000).toFixed(1)} s`];
};

/** What publishing a large system costs. */
const publishing = (env: LayoutEnv, line: Line): void => {
  const before = systemOf(PUBLISHED);
  const after = changed(before);
  const [obstacles, checking] = timed(() => ended(obstaclesIn(env, after)));
  line(
    `publishing ${PUBLISHED} components: all that may stand in the way`,
    `${checking}, ${obstacles.length} found`,
  );
  const earlier = { number: "1.0.0", content: before };
  const [numbered, comparing] = timed(() => ended(numberEdition(env, new Map(), earlier, after)));
  line(
    `publishing ${PUBLISHED} components, all changed: number, reasons, notes`,
    `${comparing}, ${numbered.differences.length} differences, ${numbered.number}`,
  );
};

/** What a report costs, and what reading adopted components costs at every edit. */
const reporting = (env: LayoutEnv, line: Line): void => {
  const before = systemOf(CHANGED);
  const editions = new Map([
    ["before", before],
    ["after", changed(before)],
  ]);
  const app = appOf(before);
  const raised = apply(app, [set(["adoptions", ADOPTION, "edition"], "after")]).doc;
  const worlds = [worldOf(app, editions), worldOf(raised, editions)] as const;
  const [report, time] = timed(() => ended(reportOn(env, ...worlds, ADOPTION)));
  line(
    `a report: ${SCREENS} screens with ${COPIES} copies each, ${CHANGED} changed components`,
    `${time}, ${report.copies.length} copies named`,
  );
  const edited = median((i) => {
    const ops = [set(["pieces", "screen-0", "name"], `Screen ${i}`)];
    worldOf(apply(app, ops).doc, editions);
  });
  line("an edit of that project, and the world around it", `${edited.toFixed(3)} ms`);
};

/** How long it takes to publish a large system, and to say what that does to others. */
export const editions = (env: LayoutEnv, line: Line): void => {
  publishing(env, line);
  reporting(env, line);
};
