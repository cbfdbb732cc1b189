import { CUSTOMERS, STREETS, type DemoCustomer } from "@mechanon/demo";
import { noAccessNotes, noDetails, normalizePlate, type CustomerDetails, type Place } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { CustomerRow } from "../customers/model";
import { VehicleRow } from "../vehicles/model";
import type { DemoRun } from "./demoRun";

const REGION = "WA";

/** Customers with their cars. */
export async function loadCustomers({ businessId, cars }: DemoRun): Promise<void> {
  for (const customer of CUSTOMERS) {
    const { name, kind = "person" } = customer;
    const customerId = uuid();
    const place = placeOf(customer);
    const details = detailsOf(customer, place);
    await CustomerRow.create({ businessId, id: customerId, kind, name, details, version: 1 });
    for (const { key, ...car } of customer.cars) {
      const vehicleId = uuid();
      cars.set(key, { vehicleId, customerId, place, customerName: name });
      await VehicleRow.create({
        businessId,
        id: vehicleId,
        customerId,
        ...car,
        plateKey: normalizePlate({ plate: car.plate, region: REGION }).key,
        region: REGION,
        trim: null,
        drive: null,
        version: 1,
      });
    }
  }
}

function detailsOf(
  { phone, email, more: { access, contacts = [], ...more } = {} }: DemoCustomer,
  place: Place,
): CustomerDetails {
  return {
    ...noDetails(),
    phones: [{ number: phone, extension: null, label: "Mobile" }],
    emails: email === null ? [] : [{ address: email, label: "" }],
    serviceAddresses: [{ id: uuid(), label: "Home", place, access: { ...noAccessNotes(), ...access } }],
    contacts: contacts.map((contact) => ({
      id: uuid(),
      phone: null,
      email: null,
      approvalLimitCents: 0,
      mayPay: false,
      mayHandOverKeys: false,
      ...contact,
    })),
    ...more,
  };
}

function placeOf({ houseNumber, street }: DemoCustomer): Place {
  const known = STREETS.find(({ name }) => name === street);
  if (!known) throw new Error(`the demo names a street that is not there: ${street}`);
  const { town, region, postcode, latitude, longitude } = known;
  // House numbers lie along the street, so that neighbors do not share one point.
  const along = houseNumber * 0.00004;
  return {
    street: `${houseNumber} ${street}`,
    town,
    region,
    postcode,
    latitude: latitude + along,
    longitude: longitude + along / 2,
  };
}
