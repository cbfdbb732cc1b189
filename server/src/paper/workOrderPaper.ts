import {
  LANGUAGES,
  mechanicsSheet,
  quotePaper,
  say,
  showVehicle,
  shownQuoteOf,
  specLines,
  upgradeDetails,
  upgradeVisit,
  upgradeWorkOrder,
  type Language,
  type Paper,
} from "@mechanon/core";
import { listPeople } from "../access/routes";
import { findCustomer } from "../customers/service";
import { askPrepared } from "../db/askPrepared";
import type { Deps, Scope } from "../scope";
import { findVehicle } from "../vehicles/service";
import { findWorkOrder } from "../workOrders/service";
import type { DrawnPaper } from "./paperPdf";

const VISITS = `
  select v.state from visit_work_orders link join visits v on v.business_id = link.business_id and v.id = link.visit_id
  where link.business_id = $1 and link.work_order_id = $2 order by v.starts_at`;

/**
 * A paper of a work order as it is now.
 * @param language - of a quote; left out: the customer's own. A mechanic's sheet is in the language of the house.
 * @throws {AppError} `work-order/not-found`.
 */
export async function workOrderPaper(
  { db, rules }: Pick<Deps, "db" | "rules">,
  { businessId }: Pick<Scope, "businessId">,
  workOrderId: string,
  paper: Paper,
  language?: Language,
): Promise<DrawnPaper & { fileName: string }> {
  const row = await findWorkOrder({ businessId }, workOrderId);
  const { name: businessName, timeZone, settings } = await rules.now(businessId);
  const state = upgradeWorkOrder(row.state);
  const customer = row.customerId === null ? null : await findCustomer({ businessId }, row.customerId);
  const vehicle = row.vehicleId === null ? null : await findVehicle({ businessId }, row.vehicleId);
  const details = customer && upgradeDetails(customer.details);
  const { number } = row;
  const drawn = { author: businessName, logo: settings.papers.logo };
  if (paper === "mechanicsSheet") {
    const visits = await askPrepared<{ state: Readonly<Record<string, unknown>> }>(db, VISITS, [
      businessId,
      workOrderId,
    ]);
    const blocks = mechanicsSheet(state, {
      ...{ businessName, number, vehicle, timeZone, papers: settings.papers, points: settings.inspection },
      customer: customer && details && { ...details, name: customer.name },
      visits: visits.map(({ state: stored }) => upgradeVisit(stored)),
      people: new Map((await listPeople(businessId)).map(({ id, name }) => [id, name])),
      specs: vehicle ? specLines(vehicle.specs ?? null, vehicle.corrections) : [],
    });
    return { ...drawn, title: `Mechanic’s sheet ${number}`, language: "en", blocks, fileName: `sheet-${number}.pdf` };
  }
  const spoken = language ?? details?.language ?? LANGUAGES[0];
  const shown = shownQuoteOf(state, {
    ...{ points: settings.inspection, before: [], specs: {}, language: spoken, checksums: new Map<string, string>() },
    papers: settings.papers,
  });
  const of = { businessName, businessPhone: settings.phone, car: vehicle ? showVehicle(vehicle) : "", number };
  return {
    ...drawn,
    title: say(spoken, "answer.title"),
    language: spoken,
    blocks: quotePaper(shown, of, spoken),
    fileName: `quote-${number}.pdf`,
  };
}
