import type { Lane, Motion } from "../project";
import { Span } from "./span";
import { goesOf, laneLength, lengthOf } from "./timing";

/**
 * The timings of one change that begins now: the motion's own, and those of its lanes. `within` is
 * the path of the copy it is about.
 */
export class ChangeTiming {
  readonly base: Span;
  readonly lanes: ReadonlyMap<string, Lane>;
  readonly #spans = new Map<Lane, Span>();

  /** whether a hand says how far it is: then all goes together, also through poses */
  readonly driven: boolean;

  constructor(
    readonly motion: Motion,
    private readonly now: number,
    readonly within: string,
    base?: Span,
  ) {
    const begin = now + motion.delay;
    this.base = base ?? new Span(now, begin, begin + lengthOf(motion), motion.easing);
    this.driven = base !== undefined;
    const inside = within === "" ? "" : `${within}/`;
    const lanes = (motion.lanes ?? []).filter((l) => !base || (isPosed(l) && goesOf(l) === 1));
    this.lanes = new Map(
      motion.kind === "cut" ? [] : lanes.map((l) => [`${inside}${l.layer} ${l.key ?? ""}`, l]),
    );
  }

  /** The lane of a layer as a whole; what is inside it goes along. */
  ofLayer(path: string): Lane | undefined {
    return this.lanes.get(`${path} `);
  }
  ofKey(path: string, key: string): Lane | undefined {
    return this.lanes.get(`${path} ${key}`);
  }

  /** The span of a lane, else of the whole motion. */
  span(lane: Lane | undefined): Span {
    if (!lane || this.driven) return this.base;
    let span = this.#spans.get(lane);
    if (!span) {
      const begin = this.base.begin + lane.delay;
      this.#spans.set(
        lane,
        (span = new Span(
          this.now,
          begin,
          begin + laneLength(lane),
          isPosed(lane) ? "linear" : lane.easing,
        )),
      );
    }
    return span;
  }
}

/** Whether a lane says more than a delay, a duration and a curve. */
export const isPosed = (lane: Lane | undefined): boolean =>
  lane !== undefined && ((lane.poses?.length ?? 0) > 0 || goesOf(lane) > 1);
