// Loaded into the server before its own code: its clock is off by as many ms as a file says, and
// jumps when that changes.
import { readFileSync } from "node:fs";

const file = process.env.NUBBLE_CHAOS_CLOCK;
const RealDate = Date;
let offset = 0;
const look = () => {
  try {
    offset = Number(readFileSync(file, "utf8")) || 0;
  } catch {
    /* nobody said anything: the clock is right */
  }
};
if (file) {
  look();
  setInterval(look, 200).unref();
  globalThis.Date = new Proxy(RealDate, {
    construct: (target, args) =>
      args.length === 0 ? new target(target.now() + offset) : new target(...args),
    get: (target, key) => (key === "now" ? () => target.now() + offset : Reflect.get(target, key)),
  });
}
