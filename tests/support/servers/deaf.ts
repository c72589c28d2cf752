import { connect, createServer } from "node:net";
import type { AddressInfo } from "node:net";

/** The message of PostgreSQL's protocol that carries a notification. */
const NOTIFICATION = "A".charCodeAt(0);
/** Bytes before the contents of a message: its kind, and its length without that. */
const HEAD = 5;

/** Whole messages of what a server sent, without notifications, and the piece that is left. */
const withoutNews = (sent: Buffer): { readonly passed: Buffer; readonly rest: Buffer } => {
  const passed: Buffer[] = [];
  let at = 0;
  while (sent.length - at >= HEAD) {
    const end = at + 1 + sent.readInt32BE(at + 1);
    if (end > sent.length) break;
    if (sent[at] !== NOTIFICATION) passed.push(sent.subarray(at, end));
    at = end;
  }
  return { passed: Buffer.concat(passed), rest: sent.subarray(at) };
};

/** A way to a database that loses all notifications, as poolers do that share connections. */
export const startDeaf = async (
  url: string,
): Promise<{ readonly url: string; readonly close: () => void }> => {
  const to = new URL(url);
  const server = createServer((client) => {
    const database = connect(Number(to.port), to.hostname);
    client.pipe(database);
    let rest = Buffer.alloc(0);
    database.on("data", (sent) => {
      const split = withoutNews(Buffer.concat([rest, sent]));
      rest = Buffer.from(split.rest);
      client.write(split.passed);
    });
    database.on("close", () => client.destroy());
    for (const socket of [client, database]) socket.on("error", () => socket.destroy());
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  const deaf = new URL(url);
  deaf.port = String((server.address() as AddressInfo).port);
  return { url: deaf.href, close: () => server.close() };
};
