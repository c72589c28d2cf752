import { randomUUID } from "node:crypto";
import { setTimeout as sleep } from "node:timers/promises";
import { Client } from "pg";
import { QueryTypes } from "sequelize";
import type { Sequelize, Transaction } from "sequelize";
import { logger } from "../logger";
import type { Head } from "./states";

/** Where processes tell one another which projects changed: ids and numbers, nothing else. */
const CHANNEL = "nubble_changes";

/** Tells every process that a project has a new state, once the transaction is committed. */
export const ring = async (
  db: Sequelize,
  { id, generation, seq }: Head,
  transaction: Transaction,
): Promise<void> => {
  await db.query("select pg_notify(:channel, :payload)", {
    replacements: { channel: CHANNEL, payload: `${id} ${generation} ${seq}` },
    type: QueryTypes.SELECT,
    transaction,
  });
};

const headOf = (payload: string): Head | null => {
  const [id, generation, seq] = payload.split(" ");
  return id && generation && seq ? { id, generation, seq: Number(seq) } : null;
};

/** The first and the longest wait before a lost connection is made again, ms. */
const FIRST_WAIT = 100;
const LONGEST_WAIT = 3000;
/** How often the connection is tried, and how long it may take to hear that, ms. */
const TRIED_EVERY = 10_000;
const PATIENCE = 5000;

/**
 * Rings for itself now and then, and ends a connection that does not hear it: one that is lost, or
 * goes through a pooler that shares connections. Gives what stops that.
 */
const keepTrying = (client: Client): (() => void) => {
  const sign = randomUUID();
  let isOwed = false;
  let late: NodeJS.Timeout | undefined;
  client.on("notification", ({ payload }) => {
    if (payload === sign) isOwed = false;
  });
  const judge = () => {
    if (!isOwed) return;
    logger.warn(
      "the database does not pass on what processes tell one another; behind a pooler give DATABASE_LISTEN_URL",
    );
    void client.end();
  };
  const tryIt = () => {
    isOwed = true;
    // a lost connection ends by itself
    client.query("select pg_notify($1, $2)", [CHANNEL, sign]).catch(() => undefined);
    late = setTimeout(judge, PATIENCE);
  };
  tryIt();
  const trying = setInterval(tryIt, TRIED_EVERY);
  return () => {
    clearInterval(trying);
    clearTimeout(late);
  };
};

interface Hearer {
  /** a project has this state now */
  readonly changed: (head: Head) => void;
  /** whatever was told meanwhile is lost: every project may have changed */
  readonly reconnected: () => void;
}

/**
 * Hears what processes tell one another (PostgreSQL's LISTEN). A lost connection is made again for
 * as long as it takes; what was told meanwhile is found in the log.
 */
export class Bell {
  private client: Client | null = null;
  private readonly over = new AbortController();

  constructor(
    private readonly url: string,
    private readonly hearer: Hearer,
  ) {}

  /** Listens until it is closed; resolves when it listens for the first time. */
  open(): Promise<void> {
    return new Promise((resolve) => void this.keepOn(resolve));
  }

  async close(): Promise<void> {
    this.over.abort();
    await this.client?.end().catch(() => undefined);
  }

  private async keepOn(isOpen: () => void): Promise<void> {
    let wait = FIRST_WAIT;
    while (!this.over.signal.aborted) {
      const line = await this.listen().catch(() => null);
      if (line) {
        isOpen();
        wait = FIRST_WAIT;
        this.hearer.reconnected();
        await line.ended;
      }
      await sleep(wait, undefined, { signal: this.over.signal }).catch(() => undefined);
      wait = Math.min(LONGEST_WAIT, wait * 2);
    }
    isOpen();
  }

  /** Connects; `ended` is over when the connection is. */
  private async listen(): Promise<{ readonly ended: Promise<void> }> {
    const client = new Client({
      connectionString: this.url,
      application_name: "nubble-bell",
      connectionTimeoutMillis: PATIENCE,
      keepAlive: true,
    });
    const ended = new Promise<void>((resolve) => {
      client.on("end", resolve);
      client.on("error", () => resolve());
    });
    client.on("notification", ({ payload }) => {
      const head = headOf(payload ?? "");
      if (head) this.hearer.changed(head);
    });
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
    this.client = client;
    const stopTrying = keepTrying(client);
    return { ended: ended.then(stopTrying) };
  }
}
