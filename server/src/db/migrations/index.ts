import * as firstVisit from "./0001-first-visit";

/** All migrations, oldest first. A landed one is never changed; a new one follows it. */
export const MIGRATIONS: { name: string; sql: string }[] = [{ name: "0001-first-visit", sql: firstVisit.up }];
