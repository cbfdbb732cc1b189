import { libraryJob, upgradeSettings, type BusinessSettings, type LibraryJob } from "@mechanon/core";
import { LRUCache } from "lru-cache";
import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";

/** Businesses whose settings and library one server keeps in memory. */
const MOST_BUSINESSES = 500;

/** Which settings and library are meant; each change counts its own up, in the database. */
export interface RuleVersions {
  settingsVersion: number;
  libraryVersion: number;
}

/** What every business command and price hangs on. */
export interface Rules extends RuleVersions {
  name: string;
  timeZone: string;
  isDemo: boolean;
  settings: BusinessSettings;
  library: readonly LibraryJob[];
}

/**
 * Settings and job libraries, read once for each version they come to. Whoever asks knows the version from the database,
 * so a server never goes by what another one changed meanwhile.
 */
export class RulesCache {
  private readonly settings = new LRUCache<string, Pick<Rules, "settings" | "settingsVersion">>({
    max: MOST_BUSINESSES,
  });
  private readonly libraries = new LRUCache<string, Pick<Rules, "library" | "libraryVersion">>({
    max: MOST_BUSINESSES,
  });

  constructor(private readonly db: Sequelize) {}

  /** Settings of a version that was just read. */
  async settingsAt(businessId: string, version: number, transaction?: Transaction): Promise<BusinessSettings> {
    const known = this.settings.get(businessId);
    if (known?.settingsVersion === version) return known.settings;
    const [row] = await askPrepared<{ settings: BusinessSettings; version: number }>(
      this.db,
      "select settings, settings_version as version from businesses where id = $1",
      [businessId],
      transaction,
    );
    if (!row) throw gone();
    const settings = upgradeSettings(row.settings);
    this.settings.set(businessId, { settings, settingsVersion: row.version });
    return settings;
  }

  /** The library of a version that was just read, in its order. */
  async libraryAt(businessId: string, version: number, transaction?: Transaction): Promise<readonly LibraryJob[]> {
    const known = this.libraries.get(businessId);
    if (known?.libraryVersion === version) return known.library;
    const rows = await askPrepared<{ job: unknown }>(
      this.db,
      "select job from library_jobs where business_id = $1 order by position, id",
      [businessId],
      transaction,
    );
    // One that was kept before a library job said how it fits itself to a car stands as it is.
    const library = rows.map(({ job }) => libraryJob.parse(job));
    this.libraries.set(businessId, { library, libraryVersion: version });
    return library;
  }

  /** Settings and library as they are now. @param transaction - whoever is in one asks on its connection. */
  async now(businessId: string, transaction?: Transaction): Promise<Rules> {
    const [row] = await askPrepared<Pick<Rules, "name" | "timeZone" | "isDemo"> & RuleVersions>(
      this.db,
      `select name, time_zone as "timeZone", is_demo as "isDemo", settings_version as "settingsVersion",
         library_version as "libraryVersion" from businesses where id = $1`,
      [businessId],
      transaction,
    );
    if (!row) throw gone();
    const settings = await this.settingsAt(businessId, row.settingsVersion, transaction);
    const library = await this.libraryAt(businessId, row.libraryVersion, transaction);
    return { ...row, settings, library };
  }
}

function gone(): AppError {
  return new AppError("session/missing", "Your business is not kept here any more. Sign in again.");
}
