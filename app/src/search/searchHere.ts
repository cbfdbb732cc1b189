import { isFoundBy, normalizePlate, readSearch, searchTerms } from "@mechanon/core";
import { routes, type CustomerSheetView, type Found, type FoundCustomer } from "@mechanon/contract";
import { customerHere } from "../customers/customerHere";
import { summaryHere } from "../day/summaryHere";
import { whenOpen } from "../device/device";
import { withSheetChanges } from "../sync/withKeptChanges";
import { useSync } from "../sync/state";

const MOST_FOUND = 20;

/** Looks among the customers and work orders this device took along, opened lately, or took down itself. */
export async function searchHere(typed: string): Promise<Found> {
  const query = readSearch(typed);
  const customers = (await customersHere()).filter((sheet) => isFoundBy(termsOf(sheet), query)).map(toFound);
  const views = query.number === null ? [] : ((await (await whenOpen())?.views.toArray()) ?? []);
  const numbered = views.filter(({ view }) => view.number === query.number).map(({ view }) => summaryHere(view));
  return { customers: customers.slice(0, MOST_FOUND), workOrders: numbered, oddWords: [] };
}

async function customersHere(): Promise<CustomerSheetView[]> {
  const kept = (await (await whenOpen())?.answers.where("key").startsWith('["customer",').toArray()) ?? [];
  const sheets = kept.flatMap(({ answer }) => routes.getCustomer.answer.safeParse(answer).data ?? []);
  const { pending, refused } = useSync.getState();
  const line = [...pending, ...refused];
  const made = line.flatMap((item) => (item.kind === "customer" ? (customerHere(item.target, line) ?? []) : []));
  return [...made, ...sheets.map((sheet) => withSheetChanges(sheet, pending))];
}

function termsOf({ customer, vehicles }: CustomerSheetView): ReturnType<typeof searchTerms> {
  return searchTerms(
    customer,
    vehicles.map((car) => ({
      ...car,
      plateKey: car.plate === null ? null : normalizePlate({ plate: car.plate, region: car.region ?? "-" }).key,
    })),
  );
}

function toFound({ customer, vehicles, openWork }: CustomerSheetView): FoundCustomer {
  return { customer, vehicles, vehicleCount: vehicles.length, openWork, foundBy: [], isNear: false };
}
