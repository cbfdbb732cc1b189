import { WORK_ORDERS } from "@mechanon/demo";
import { v7 as uuid } from "uuid";
import { ofBusiness } from "../db/ofBusiness";
import type { Deps } from "../scope";
import { indexOutdated } from "../search/indexCustomers";
import { DemoRun } from "./demoRun";
import { loadBusiness } from "./loadBusiness";
import { loadCustomers } from "./loadCustomers";
import { loadWorkOrder } from "./loadWorkOrder";

/** Loads the demo scenario, its days around `now`. All work goes through the real commands. */
export async function loadDemo(deps: Deps, now: Date): Promise<void> {
  const businessId = uuid();
  const run = new DemoRun(deps, businessId, now);
  await ofBusiness(businessId, async () => {
    await loadBusiness(run);
    await loadCustomers(run);
    for (const order of WORK_ORDERS) await loadWorkOrder(run, order);
    await indexOutdated(deps.db, businessId);
  });
}
