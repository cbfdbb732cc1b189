import { BUSINESS, LIBRARY, PEOPLE, SETTINGS, SUPPLIER } from "@mechanon/demo";
import { v7 as uuid } from "uuid";
import { Person } from "../access/model";
import { hashPassword } from "../access/passwords";
import { Business, LibraryJobRow } from "../settings/model";
import { SupplierRow } from "../sourcing/model";
import type { DemoRun } from "./demoRun";

/** The business itself: its people, its job library, its supplier. */
export async function loadBusiness({ businessId, people }: DemoRun): Promise<void> {
  const { name, timeZone } = BUSINESS;
  await Business.create({ id: businessId, name, timeZone, settings: SETTINGS, isDemo: true });
  for (const { key, password, rights, ...person } of PEOPLE) {
    const id = uuid();
    people.set(key, id);
    const passwordHash = await hashPassword(password);
    await Person.create({ businessId, id, ...person, rights: [...rights], passwordHash, demoPassword: password });
  }
  await SupplierRow.create({
    businessId,
    id: SUPPLIER.id,
    name: SUPPLIER.name,
    phone: SUPPLIER.phone,
    position: 0,
  });
  await LibraryJobRow.bulkCreate(LIBRARY.map((job, position) => ({ businessId, id: job.id, position, job })));
}
