import { LEDGER_VERSION } from "@mechanon/core";
import { BEFORE_ALL, nextWorkOrders, writeLedgers } from "../ledger/writeLedgers";
import { z } from "zod";
import type { BehindStep } from "./step";

const walkedTo = z.object({ businessId: z.string(), id: z.string() });

/** The ledger of work orders that no command touched since it is kept, or since it is kept in another way. */
export const fillLedger: BehindStep = {
  name: `ledger-${LEDGER_VERSION}`,
  async run(client, at) {
    const after = walkedTo.parse({ ...BEFORE_ALL, ...at });
    await client.query("begin");
    try {
      const orders = await nextWorkOrders(client, after);
      const missing = orders.filter(({ ledger_version: version }) => version !== LEDGER_VERSION);
      if (missing.length > 0) await writeLedgers(client, missing);
      await client.query("commit");
      const last = orders.at(-1);
      return last ? { businessId: last.business_id, id: last.id } : null;
    } catch (error) {
      await client.query("rollback");
      throw error;
    }
  },
};
