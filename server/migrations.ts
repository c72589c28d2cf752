import { DataTypes } from "sequelize";
import type { QueryInterface, Sequelize } from "sequelize";
import { SequelizeStorage, Umzug } from "umzug";

/** Every step of the database's shape, in order; never changed once it has landed. */
const steps: { name: string; up: (p: { context: QueryInterface }) => Promise<void>; down: (p: { context: QueryInterface }) => Promise<void> }[] = [
  {
    name: "001-projects-and-changes",
    up: async ({ context: q }) => {
      await q.sequelize.transaction(async (transaction) => {
        const date = { type: DataTypes.DATE, allowNull: false };
        await q.createTable("projects", {
          id: { type: DataTypes.STRING(40), primaryKey: true },
          name: { type: DataTypes.STRING(120), allowNull: false },
          seq: { type: DataTypes.INTEGER, allowNull: false },
          snapshot: { type: DataTypes.JSONB, allowNull: false },
          snapshot_seq: { type: DataTypes.INTEGER, allowNull: false },
          created_at: date, updated_at: date,
        }, { transaction });
        await q.createTable("changes", {
          project_id: { type: DataTypes.STRING(40), primaryKey: true, references: { model: "projects", key: "id" }, onDelete: "CASCADE" },
          seq: { type: DataTypes.INTEGER, primaryKey: true },
          change_id: { type: DataTypes.STRING(40), allowNull: false },
          client_id: { type: DataTypes.STRING(40), allowNull: false },
          label: { type: DataTypes.STRING(200), allowNull: false },
          ops: { type: DataTypes.JSONB, allowNull: false },
          created_at: date,
        }, { transaction });
        await q.addIndex("changes", ["project_id", "change_id"], { unique: true, name: "changes_once", transaction });
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
    down: async ({ context: q }) => { await q.dropTable("assets"); },
  },
];

/** Brings the database to the newest shape; returns the names of the steps it took. */
export const migrate = async (sequelize: Sequelize): Promise<string[]> => {
  const umzug = new Umzug({ migrations: steps, context: sequelize.getQueryInterface(), storage: new SequelizeStorage({ sequelize }), logger: undefined });
  return (await umzug.up()).map((m) => m.name);
};
