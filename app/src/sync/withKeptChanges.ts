import type { Customer, CustomerSheetView, Vehicle, VehicleSheetView } from "@mechanon/contract";
import type { Pending } from "./pending";
import { agreedWith } from "./sendKeptChange";

/** A customer as this device shows them: as the server keeps them, with what was changed here and waits. */
export function withCustomerChanges(customer: Customer, pending: readonly Pending[]): Customer {
  return pending.reduce((now, item) => {
    if (item.target !== customer.id) return now;
    if (item.kind === "customerChange") return { ...now, ...item.becomes };
    if (item.kind === "agreement") return { ...now, serviceIntervals: agreedWith(now.serviceIntervals, item.interval) };
    return now;
  }, customer);
}

/** A car as this device shows it. */
export function withVehicleChanges(vehicle: Vehicle, pending: readonly Pending[]): Vehicle {
  return pending.reduce((now, item) => {
    if (item.target !== vehicle.id) return now;
    if (item.kind === "vehicleChange") return { ...now, ...item.becomes };
    return item.kind === "vehicleOwner" && item.becomes === "owner" ? { ...now, customerId: item.customerId } : now;
  }, vehicle);
}

/** A customer's sheet as this device shows it. */
export function withSheetChanges(sheet: CustomerSheetView, pending: readonly Pending[]): CustomerSheetView {
  if (pending.length === 0) return sheet;
  return {
    ...sheet,
    customer: withCustomerChanges(sheet.customer, pending),
    vehicles: sheet.vehicles.map((vehicle) => withVehicleChanges(vehicle, pending)),
  };
}

/** A car's sheet as this device shows it. */
export function withCarSheetChanges(
  sheet: VehicleSheetView,
  pending: readonly Pending[],
  nameOf: (personId: string) => string,
): VehicleSheetView {
  const mine = pending.filter(({ target }) => target === sheet.vehicle.id);
  if (mine.length === 0) return sheet;
  const shown = { ...sheet, vehicle: withVehicleChanges(sheet.vehicle, mine) };
  return mine.reduce((now, item) => withOne(now, item, nameOf), shown);
}

function withOne(sheet: VehicleSheetView, item: Pending, nameOf: (personId: string) => string): VehicleSheetView {
  switch (item.kind) {
    case "specCorrection": {
      const others = sheet.corrections.filter(({ key }) => key !== item.key);
      const { key, value, at, by } = item;
      return { ...sheet, corrections: value === null ? others : [...others, { key, value, at, by: nameOf(by) }] };
    }
    case "personOff":
      return { ...sheet, people: sheet.people.filter(({ customerId }) => customerId !== item.customerId) };
    case "vehicleOwner": {
      const { customerId, becomes, role = "Driver", name } = item;
      if (name === undefined) return sheet;
      if (becomes === "owner") return { ...sheet, owner: { id: customerId, name } };
      const others = sheet.people.filter((person) => person.customerId !== customerId);
      return { ...sheet, people: [...others, { customerId, name, role }] };
    }
    default:
      return sheet;
  }
}
