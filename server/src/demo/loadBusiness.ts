import { ASK_SLUG, BUSINESS, LIBRARY, PEOPLE, SETTINGS, SUPPLIER } from "@mechanon/demo";
import { upgradeSettings } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { Person } from "../access/model";
import type { Sequelize } from "sequelize";
import { hashPassword } from "../access/passwords";
import { askPrepared } from "../db/askPrepared";
import { Business, LibraryJobRow } from "../settings/model";
import { SupplierRow } from "../sourcing/model";
import type { DemoRun } from "./demoRun";

/** The business itself: its people, its job library, its supplier. */
export async function loadBusiness({ deps, businessId, people }: DemoRun): Promise<void> {
  const { name, timeZone } = BUSINESS;
  await Business.create({ id: businessId, name, timeZone, settings: upgradeSettings(SETTINGS), isDemo: true });
  await claimSlug(deps.db, businessId);
  for (const { key, password, rights, ...person } of PEOPLE) {
    const id = uuid();
    people.set(key, id);
    const passwordHash = await hashPassword(password);
    await Person.create({ businessId, id, ...person, rights: [...rights], passwordHash, demoPassword: password });
  }
  // The demo says by login whose van it is.
  const stock = SETTINGS.stock.map((item) => ({ ...item, personId: people.get(item.personId) ?? item.personId }));
  await Business.update({ settings: upgradeSettings({ ...SETTINGS, stock }) }, { where: { id: businessId } });
  await SupplierRow.create({
    businessId,
    id: SUPPLIER.id,
    name: SUPPLIER.name,
    phone: SUPPLIER.phone,
    position: 0,
  });
  await LibraryJobRow.bulkCreate(LIBRARY.map((job, position) => ({ businessId, id: job.id, position, job })));
}

/** Where another demo has the name already, this one keeps that of its beginning. */
async function claimSlug(db: Sequelize, businessId: string): Promise<void> {
  await askPrepared(db, "insert into directory.ask_pages (slug, business_id) values ($1, $2) on conflict do nothing", [
    ASK_SLUG,
    businessId,
  ]);
}
