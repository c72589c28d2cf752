import { DataTypes, Model, Sequelize } from "sequelize";
import type { CreationOptional, InferAttributes, InferCreationAttributes } from "sequelize";
import type { Face } from "#core/layout";
import type { Op } from "#core/project";
import type { Reason } from "#core/system";

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
  /** another one each time it is made, also under the same id: numbers of changes belong to it */
  declare generation: string;
  /** number of the newest change */
  declare seq: number;
  /** how many components it has; null where nobody has counted since there are counts */
  declare components: CreationOptional<number | null>;
  declare screens: CreationOptional<number | null>;
  /** since when it has been in the bin; null where it is not */
  declare binnedAt: CreationOptional<Date | null>;
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

/** A moment of a project that somebody gave a name. */
export class MomentRow extends Model<
  InferAttributes<MomentRow>,
  InferCreationAttributes<MomentRow>
> {
  declare projectId: string;
  /** after which change */
  declare seq: number;
  declare name: string;
  declare createdAt: CreationOptional<Date>;
}

/** A window that has changed something, and which browser it said it is. */
export class WindowRow extends Model<
  InferAttributes<WindowRow>,
  InferCreationAttributes<WindowRow>
> {
  declare clientId: string;
  /** RFC 9110, §10.1.5 */
  declare agent: string;
  declare createdAt: CreationOptional<Date>;
}

/** The newest picture of a project, for the list of all. */
export class PictureRow extends Model<
  InferAttributes<PictureRow>,
  InferCreationAttributes<PictureRow>
> {
  declare projectId: string;
  declare generation: string;
  /** it shows the project after this change */
  declare seq: number;
  /** SHA-256 of what it was made from, and by what */
  declare source: string;
  /** SVG; null where there is nothing to show, or it would be too large */
  declare body: string | null;
}

/** What editions hold, once by the SHA-256 of its text. */
export class EditionContentRow extends Model<
  InferAttributes<EditionContentRow>,
  InferCreationAttributes<EditionContentRow>
> {
  declare hash: string;
  /** the format it is written in */
  declare format: number;
  declare body: string;
  declare createdAt: CreationOptional<Date>;
}

/** An edition that a project has published. */
export class EditionRow extends Model<
  InferAttributes<EditionRow>,
  InferCreationAttributes<EditionRow>
> {
  /** the project */
  declare system: string;
  declare number: string;
  declare name: string;
  /** what the project was called */
  declare systemName: string;
  declare hash: string;
  /** Markdown */
  declare notes: string;
  /** what its number follows from, in sentences */
  declare reasons: Reason[];
  /** why its number asks less than what changed */
  declare lowered: string | null;
  /** why it is not to be adopted any more */
  declare withdrawn: string | null;
  declare createdAt: CreationOptional<Date>;
}

/** That a project uses an edition of a system, as its present state says. */
export class AdoptionRow extends Model<
  InferAttributes<AdoptionRow>,
  InferCreationAttributes<AdoptionRow>
> {
  declare projectId: string;
  /** what the project calls it */
  declare id: string;
  declare system: string;
  declare number: string;
}

const initHistory = (sequelize: Sequelize): void => {
  MomentRow.init(
    {
      projectId: { type: DataTypes.STRING(40), primaryKey: true, field: "project_id" },
      seq: { type: DataTypes.INTEGER, primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      createdAt: { type: DataTypes.DATE, field: "created_at" },
    },
    { sequelize, tableName: "moments", updatedAt: false },
  );
  WindowRow.init(
    {
      clientId: { type: DataTypes.STRING(40), primaryKey: true, field: "client_id" },
      agent: { type: DataTypes.STRING(300), allowNull: false },
      createdAt: { type: DataTypes.DATE, field: "created_at" },
    },
    { sequelize, tableName: "windows", updatedAt: false },
  );
};

const initPictures = (sequelize: Sequelize): void => {
  PictureRow.init(
    {
      projectId: { type: DataTypes.STRING(40), primaryKey: true, field: "project_id" },
      generation: { type: DataTypes.STRING(40), allowNull: false },
      seq: { type: DataTypes.INTEGER, allowNull: false },
      source: { type: DataTypes.STRING(64), allowNull: false },
      body: { type: DataTypes.TEXT, allowNull: true },
    },
    { sequelize, tableName: "pictures", timestamps: false },
  );
};

const initEditions = (sequelize: Sequelize): void => {
  EditionContentRow.init(
    {
      hash: { type: DataTypes.STRING(64), primaryKey: true },
      format: { type: DataTypes.INTEGER, allowNull: false },
      body: { type: DataTypes.TEXT, allowNull: false },
      createdAt: { type: DataTypes.DATE, field: "created_at" },
    },
    { sequelize, tableName: "edition_contents", updatedAt: false },
  );
  EditionRow.init(
    {
      system: { type: DataTypes.STRING(40), primaryKey: true },
      number: { type: DataTypes.STRING(24), primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      systemName: { type: DataTypes.STRING(120), allowNull: false, field: "system_name" },
      hash: { type: DataTypes.STRING(64), allowNull: false },
      notes: { type: DataTypes.TEXT, allowNull: false },
      reasons: { type: DataTypes.JSONB, allowNull: false },
      lowered: { type: DataTypes.STRING(500), allowNull: true },
      withdrawn: { type: DataTypes.STRING(500), allowNull: true },
      createdAt: { type: DataTypes.DATE, field: "created_at" },
    },
    { sequelize, tableName: "editions", updatedAt: false },
  );
  AdoptionRow.init(
    {
      projectId: { type: DataTypes.STRING(40), primaryKey: true, field: "project_id" },
      id: { type: DataTypes.STRING(40), primaryKey: true },
      system: { type: DataTypes.STRING(40), allowNull: false },
      number: { type: DataTypes.STRING(24), allowNull: false },
    },
    { sequelize, tableName: "adoptions", timestamps: false },
  );
};

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
      generation: { type: DataTypes.STRING(40), allowNull: false },
      seq: { type: DataTypes.INTEGER, allowNull: false },
      components: { type: DataTypes.INTEGER, allowNull: true },
      screens: { type: DataTypes.INTEGER, allowNull: true },
      binnedAt: { type: DataTypes.DATE, allowNull: true, field: "binned_at" },
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
  initPictures(sequelize);
  initHistory(sequelize);
  initEditions(sequelize);
  return sequelize;
};
