import { DataTypes, Model, Sequelize } from "sequelize";
import type { CreationOptional, InferAttributes, InferCreationAttributes } from "sequelize";
import type { Face } from "#core/layout";
import type { Op } from "#core/project";

/**
 * A project: its name and the number of its newest change. What is in it follows from snapshots and
 * log.
 */
export class ProjectRow extends Model<
  InferAttributes<ProjectRow>,
  InferCreationAttributes<ProjectRow>
> {
  declare id: string;
  declare name: string;
  /** number of the newest change */
  declare seq: number;
  declare createdAt: CreationOptional<Date>;
  declare updatedAt: CreationOptional<Date>;
}

/** A project as it was after one of its changes; JSON text with the SHA-256 of its UTF-8. */
export class SnapshotRow extends Model<
  InferAttributes<SnapshotRow>,
  InferCreationAttributes<SnapshotRow>
> {
  declare projectId: string;
  declare seq: number;
  declare body: string;
  declare digest: string;
  declare createdAt: CreationOptional<Date>;
}

/** One accepted change; rows are only ever added. */
export class ChangeRow extends Model<
  InferAttributes<ChangeRow>,
  InferCreationAttributes<ChangeRow>
> {
  declare projectId: string;
  declare seq: number;
  /** made by the client, so that a save sent twice is kept once */
  declare changeId: string;
  declare clientId: string;
  declare label: string;
  declare ops: Op[];
  /** number of the newest change its maker had seen */
  declare base: number;
  /** size of the steps as JSON, bytes */
  declare bytes: number;
  /** the format the steps are written in */
  declare format: number;
  declare createdAt: CreationOptional<Date>;
}

/** A file that projects use, kept once by its contents. */
export class AssetRow extends Model<InferAttributes<AssetRow>, InferCreationAttributes<AssetRow>> {
  /** SHA-256 of the bytes */
  declare hash: string;
  declare type: string;
  declare bytes: Buffer;
  /** what layout must know of a font */
  declare face: Face | null;
  declare createdAt: CreationOptional<Date>;
}

/**
 * Opens the database at a PostgreSQL address. Connections are made when first needed and again
 * after they broke.
 */
export const openDatabase = (url: string): Sequelize => {
  const sequelize = new Sequelize(url, {
    dialect: "postgres",
    logging: false,
    pool: { max: 8, min: 0, acquire: 5000, idle: 10_000 },
    dialectOptions: { connectionTimeoutMillis: 4000, query_timeout: 15_000 },
    retry: { max: 1 },
  });
  ProjectRow.init(
    {
      id: { type: DataTypes.STRING(40), primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      seq: { type: DataTypes.INTEGER, allowNull: false },
      createdAt: { type: DataTypes.DATE, field: "created_at" },
      updatedAt: { type: DataTypes.DATE, field: "updated_at" },
    },
    { sequelize, tableName: "projects" },
  );
  ChangeRow.init(
    {
      projectId: { type: DataTypes.STRING(40), primaryKey: true, field: "project_id" },
      seq: { type: DataTypes.INTEGER, primaryKey: true },
      changeId: { type: DataTypes.STRING(40), allowNull: false, field: "change_id" },
      clientId: { type: DataTypes.STRING(40), allowNull: false, field: "client_id" },
      label: { type: DataTypes.STRING(200), allowNull: false },
      ops: { type: DataTypes.JSONB, allowNull: false },
      base: { type: DataTypes.INTEGER, allowNull: false },
      bytes: { type: DataTypes.INTEGER, allowNull: false },
      format: { type: DataTypes.INTEGER, allowNull: false },
      createdAt: { type: DataTypes.DATE, field: "created_at" },
    },
    { sequelize, tableName: "changes", updatedAt: false },
  );
  SnapshotRow.init(
    {
      projectId: { type: DataTypes.STRING(40), primaryKey: true, field: "project_id" },
      seq: { type: DataTypes.INTEGER, primaryKey: true },
      body: { type: DataTypes.TEXT, allowNull: false },
      digest: { type: DataTypes.STRING(64), allowNull: false },
      createdAt: { type: DataTypes.DATE, field: "created_at" },
    },
    { sequelize, tableName: "snapshots", updatedAt: false },
  );
  AssetRow.init(
    {
      hash: { type: DataTypes.STRING(64), primaryKey: true },
      type: { type: DataTypes.STRING(40), allowNull: false },
      bytes: { type: DataTypes.BLOB, allowNull: false },
      face: { type: DataTypes.JSONB, allowNull: true },
      createdAt: { type: DataTypes.DATE, field: "created_at" },
    },
    { sequelize, tableName: "assets", updatedAt: false },
  );
  return sequelize;
};
