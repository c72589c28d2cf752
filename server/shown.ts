import { createHmac, timingSafeEqual } from "node:crypto";

/** Where projects are shown read-only: an origin, and a secret that only this server has. */
interface Showing {
  readonly origin: string;
  readonly secret: string;
}

const showing = (): Showing | null => {
  const { NUBBLE_PLAY_ORIGIN: origin, NUBBLE_PLAY_SECRET: secret } = process.env;
  return origin && secret ? { origin, secret } : null;
};

/** What an address must have to show a project: nobody guesses it (HMAC, FIPS 198-1). */
const keyOf = (secret: string, projectId: string): string =>
  createHmac("sha256", secret).update(projectId).digest("base64url");

/** Whether a key is the one by which a project is shown; of no project where none is shown. */
export const isShownKey = (projectId: string, key: string): boolean => {
  const at = showing();
  if (!at) return false;
  const wanted = Buffer.from(keyOf(at.secret, projectId));
  const given = Buffer.from(key);
  return wanted.length === given.length && timingSafeEqual(wanted, given);
};

/** The address at which a project is shown to whoever has it; null where none is shown. */
export const shownAddress = (projectId: string): string | null => {
  const at = showing();
  return at && `${at.origin}/shown/${projectId}/${keyOf(at.secret, projectId)}`;
};
