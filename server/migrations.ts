import { setTimeout as sleep } from "node:timers/promises";
import { DataTypes, QueryTypes } from "sequelize";
import type { QueryInterface, Sequelize, Transaction } from "sequelize";
import { SequelizeStorage, Umzug } from "umzug";

/** Every step of the database's shape, in order; never changed once it has landed. */
const steps: {
  name: string;
  up: (p: { context: QueryInterface }) => Promise<void>;
  down: (p: { context: QueryInterface }) => Promise<void>;
}[] = [
  {
    name: "001-projects-and-changes",
    up: async ({ context: q }) => {
      await q.sequelize.transaction(async (transaction) => {
        const date = { type: DataTypes.DATE, allowNull: false };
        await q.createTable(
          "projects",
          {
            id: { type: DataTypes.STRING(40), primaryKey: true },
            name: { type: DataTypes.STRING(120), allowNull: false },
            seq: { type: DataTypes.INTEGER, allowNull: false },
            snapshot: { type: DataTypes.JSONB, allowNull: false },
            snapshot_seq: { type: DataTypes.INTEGER, allowNull: false },
            created_at: date,
            updated_at: date,
          },
          { transaction },
        );
        await q.createTable(
          "changes",
          {
            project_id: {
              type: DataTypes.STRING(40),
              primaryKey: true,
              references: { model: "projects", key: "id" },
              onDelete: "CASCADE",
            },
            seq: { type: DataTypes.INTEGER, primaryKey: true },
            change_id: { type: DataTypes.STRING(40), allowNull: false },
            client_id: { type: DataTypes.STRING(40), allowNull: false },
            label: { type: DataTypes.STRING(200), allowNull: false },
            ops: { type: DataTypes.JSONB, allowNull: false },
            created_at: date,
          },
          { transaction },
        );
        await q.addIndex("changes", ["project_id", "change_id"], {
          unique: true,
          name: "changes_once",
          transaction,
        });
      });
    },
    down: async ({ context: q }) => {
      await q.dropTable("changes");
      await q.dropTable("projects");
    },
  },
  {
    name: "002-assets",
    up: async ({ context: q }) => {
      await q.createTable("assets", {
        hash: { type: DataTypes.STRING(64), primaryKey: true },
        type: { type: DataTypes.STRING(40), allowNull: false },
        bytes: { type: DataTypes.BLOB, allowNull: false },
        face: { type: DataTypes.JSONB, allowNull: true },
        created_at: { type: DataTypes.DATE, allowNull: false },
      });
    },
    down: async ({ context: q }) => {
      await q.dropTable("assets");
    },
  },
  {
    name: "003-snapshots-with-digests",
    up: async ({ context: q }) => {
      await q.sequelize.transaction(async (transaction) => {
        const run = (sql: string) => q.sequelize.query(sql, { transaction });
        await q.createTable(
          "snapshots",
          {
            project_id: {
              type: DataTypes.STRING(40),
              primaryKey: true,
              references: { model: "projects", key: "id" },
              onDelete: "CASCADE",
            },
            seq: { type: DataTypes.INTEGER, primaryKey: true },
            body: { type: DataTypes.TEXT, allowNull: false },
            digest: { type: DataTypes.STRING(64), allowNull: false },
            created_at: { type: DataTypes.DATE, allowNull: false },
          },
          { transaction },
        );
        await run(`insert into snapshots (project_id, seq, body, digest, created_at)
          select id, snapshot_seq, snapshot::text, encode(sha256(convert_to(snapshot::text, 'UTF8')), 'hex'), updated_at from projects`);
        await run("alter table projects drop column snapshot, drop column snapshot_seq");
        await run("alter table changes add column base integer, add column bytes integer");
        await run("update changes set base = seq - 1, bytes = octet_length(ops::text)");
        await run(
          "alter table changes alter column base set not null, alter column bytes set not null",
        );
      });
    },
    down: async ({ context: q }) => {
      await q.sequelize.transaction(async (transaction) => {
        const run = (sql: string) => q.sequelize.query(sql, { transaction });
        await run(
          "alter table projects add column snapshot jsonb, add column snapshot_seq integer",
        );
        await run(`update projects set (snapshot, snapshot_seq) =
          (select body::jsonb, seq from snapshots where project_id = id order by seq desc limit 1)`);
        await run(
          "alter table projects alter column snapshot set not null, alter column snapshot_seq set not null",
        );
        await run("alter table changes drop column base, drop column bytes");
        await q.dropTable("snapshots", { transaction });
      });
    },
  },
  {
    name: "004-formats-of-changes",
    up: async ({ context: q }) => {
      // what was written before there were formats is of the first one
      await q.sequelize.query("alter table changes add column format integer not null default 1");
    },
    down: async ({ context: q }) => {
      await q.sequelize.query("alter table changes drop column format");
    },
  },
  {
    name: "005-editions",
    up: async ({ context: q }) => {
      await q.sequelize.transaction(async (transaction) => {
        const date = { type: DataTypes.DATE, allowNull: false };
        await q.createTable(
          "edition_contents",
          {
            hash: { type: DataTypes.STRING(64), primaryKey: true },
            format: { type: DataTypes.INTEGER, allowNull: false },
            body: { type: DataTypes.TEXT, allowNull: false },
            created_at: date,
          },
          { transaction },
        );
        await q.createTable(
          "editions",
          {
            // no reference: an edition stays for those who use it when its project is removed
            system: { type: DataTypes.STRING(40), primaryKey: true },
            number: { type: DataTypes.STRING(24), primaryKey: true },
            name: { type: DataTypes.STRING(120), allowNull: false },
            system_name: { type: DataTypes.STRING(120), allowNull: false },
            hash: {
              type: DataTypes.STRING(64),
              allowNull: false,
              references: { model: "edition_contents", key: "hash" },
            },
            notes: { type: DataTypes.TEXT, allowNull: false },
            reasons: { type: DataTypes.JSONB, allowNull: false },
            lowered: { type: DataTypes.STRING(500), allowNull: true },
            withdrawn: { type: DataTypes.STRING(500), allowNull: true },
            created_at: date,
          },
          { transaction },
        );
        await q.createTable(
          "adoptions",
          {
            project_id: {
              type: DataTypes.STRING(40),
              primaryKey: true,
              references: { model: "projects", key: "id" },
              onDelete: "CASCADE",
            },
            id: { type: DataTypes.STRING(40), primaryKey: true },
            system: { type: DataTypes.STRING(40), allowNull: false },
            number: { type: DataTypes.STRING(24), allowNull: false },
          },
          { transaction },
        );
        await q.addIndex("adoptions", ["system"], { transaction });
      });
    },
    down: async ({ context: q }) => {
      await q.dropTable("adoptions");
      await q.dropTable("editions");
      await q.dropTable("edition_contents");
    },
  },
  {
    name: "006-counts",
    up: async ({ context: q }) => {
      await q.sequelize.query(
        "alter table projects add column components integer, add column screens integer",
      );
    },
    down: async ({ context: q }) => {
      await q.sequelize.query("alter table projects drop column components, drop column screens");
    },
  },
  {
    name: "007-generations",
    up: async ({ context: q }) => {
      await q.sequelize.query(
        "alter table projects add column generation varchar(40) not null default md5(random()::text)",
      );
      await q.sequelize.query("alter table projects alter column generation drop default");
    },
    down: async ({ context: q }) => {
      await q.sequelize.query("alter table projects drop column generation");
    },
  },
  {
    name: "008-bin",
    up: async ({ context: q }) => {
      await q.sequelize.query("alter table projects add column binned_at timestamptz");
    },
    down: async ({ context: q }) => {
      await q.sequelize.query("alter table projects drop column binned_at");
    },
  },
  {
    name: "009-pictures",
    up: async ({ context: q }) => {
      await q.sequelize.query(
        `create table pictures (
          project_id varchar(40) primary key references projects(id) on delete cascade,
          generation varchar(40) not null,
          seq integer not null,
          source varchar(64) not null,
          body text
        )`,
      );
    },
    down: async ({ context: q }) => {
      await q.dropTable("pictures");
    },
  },
  {
    name: "010-history",
    up: async ({ context: q }) => {
      await q.sequelize.query(
        `create table moments (
          project_id varchar(40) not null references projects(id) on delete cascade,
          seq integer not null,
          name varchar(120) not null,
          created_at timestamptz not null,
          primary key (project_id, seq)
        )`,
      );
      await q.sequelize.query(
        `create table windows (
          client_id varchar(40) primary key,
          agent varchar(300) not null,
          created_at timestamptz not null
        )`,
      );
    },
    down: async ({ context: q }) => {
      await q.dropTable("windows");
      await q.dropTable("moments");
    },
  },
];

/** Any number, the same everywhere: what processes that change the database's shape wait for. */
const LOCK = 7_101_482;
const LOCK_ASKED_EVERY = 100;

/** Does something while no other process that asks in the same way does. */
export const alone = <T>(sequelize: Sequelize, work: () => Promise<T>): Promise<T> =>
  sequelize.transaction(async (transaction) => {
    // asked again and again: one question may not take as long as what is waited for
    while (!(await takesLock(sequelize, transaction))) await sleep(LOCK_ASKED_EVERY);
    return work();
  });

const takesLock = async (sequelize: Sequelize, transaction: Transaction): Promise<boolean> => {
  const [row] = await sequelize.query<{ taken: boolean }>(
    `select pg_try_advisory_xact_lock(${LOCK}) as taken`,
    { transaction, type: QueryTypes.SELECT },
  );
  return row?.taken === true;
};

/** Brings the database to the newest shape; returns the names of the steps it took. */
export const migrate = async (sequelize: Sequelize): Promise<string[]> => {
  const umzug = new Umzug({
    migrations: steps,
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
  return (await umzug.up()).map((m) => m.name);
};
