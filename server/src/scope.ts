import type { Actor } from "@mechanon/core";
import type { Logger } from "pino";
import type { Sequelize } from "sequelize";
import type { VinContext } from "@mechanon/core/vin";
import type { Config } from "./config";
import type { Outside } from "./outside/outside";
import type { PhotoStore } from "./photoStore/photoStore";
import type { RulesCache } from "./rules/rulesCache";

/** What the whole server shares. */
export interface Deps {
  config: Config;
  db: Sequelize;
  outside: Outside;
  vin: VinContext;
  /** Where the bytes of photos are. */
  photos: PhotoStore;
  /** Settings and libraries in memory. */
  rules: RulesCache;
  log: Logger;
}

/** Who asks, for which business; set in one place for a request, and passed to every service. */
export interface Scope {
  businessId: string;
  timeZone: string;
  businessName: string;
  actor: Actor;
}

/** Who is signed in, and until when. */
export interface SessionPerson extends Scope {
  sessionId: string;
  sessionEndsAt: Date;
  role: string;
  isMechanic: boolean;
}
