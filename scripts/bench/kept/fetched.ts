import { request } from "node:http";

export interface Fetched {
  /** as it was sent, packed; bytes */
  readonly size: number;
  /** until its last byte, ms */
  readonly ms: number;
}

/** Fetches as browsers do, and counts what goes over the wire. */
export const fetched = (address: string): Promise<Fetched> =>
  new Promise((resolve, reject) => {
    const begin = performance.now();
    const asked = request(address, { headers: { "accept-encoding": "br, gzip" } }, (response) => {
      let size = 0;
      response.on("data", (part: Buffer) => (size += part.byteLength));
      response.on("end", () => resolve({ size, ms: performance.now() - begin }));
    });
    asked.on("error", reject);
    asked.end();
  });

/** The middle one of times, ms. */
export const middle = (times: readonly number[]): string =>
  (times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN).toFixed(0);
