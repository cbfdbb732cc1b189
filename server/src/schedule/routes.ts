import { routes } from "@mechanon/contract";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { findAddresses } from "./findAddresses";
import { offeredTimes } from "./offeredTimes";

export function scheduleRoutes(mounting: Mounting, { db, outside, rules }: Deps): void {
  mounting.route(routes.findAddresses, async ({ query: { typed } }) => ({
    addresses: await findAddresses(outside, typed),
  }));
  mounting.route(routes.offeredTimes, async ({ scope, body }) => {
    const { settings } = await rules.now(scope.businessId);
    return { offers: await offeredTimes(db, scope, settings, body, new Date().toISOString()) };
  });
}
