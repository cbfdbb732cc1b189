import { DataTypes, type Model } from "sequelize";

// Each use needs an object of its own: Sequelize writes the column name into it.
export const key = () => ({ type: DataTypes.UUID, primaryKey: true }) as const;
export const text = () => ({ type: DataTypes.TEXT, allowNull: false }) as const;
// Sequelize writes NULL for what is left out, so the defaults stand here as well as in the migration.
export const no = () => ({ type: DataTypes.BOOLEAN, defaultValue: false }) as const;
export const one = () => ({ type: DataTypes.INTEGER, defaultValue: 1 }) as const;
export const none = () => ({ type: DataTypes.INTEGER, defaultValue: 0 }) as const;
export const now = () => ({ type: DataTypes.DATE, defaultValue: DataTypes.NOW }) as const;

/** A stored state of any version, which reads as it is written now. */
export const broughtForward = <Stored, State>(upgrade: (stored: Stored) => State) => ({
  type: DataTypes.JSONB,
  get(this: Model): State | undefined {
    const stored = this.getDataValue("state") as Stored | undefined;
    return stored === undefined ? undefined : upgrade(stored);
  },
});
