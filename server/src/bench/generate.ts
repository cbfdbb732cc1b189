import { LIBRARY, SETTINGS } from "@mechanon/demo";
import {
  applyCommand,
  noAccessNotes,
  noDetails,
  normalizePlate,
  type CustomerDetails,
  type CustomerKind,
  type WorkOrderCommand,
  type WorkOrderState,
} from "@mechanon/core";
import type { Client } from "pg";
import { QueryTypes, type Sequelize } from "sequelize";
import { v7 as uuid } from "uuid";
import { insertCustomers } from "../customers/insertCustomers";
import { indexCustomers } from "../search/indexCustomers";
import { Chance, madeUpNames, madeUpStreets } from "../testing/madeUp";

export interface MadeUpCustomer {
  id: string;
  kind: CustomerKind;
  name: string;
  details: CustomerDetails;
  cars: { id: string; vin: string; plate: string; year: number; make: string; model: string }[];
}

const MAKES: Readonly<Record<string, string[]>> = { Honda: ["Accord", "Civic", "Fit"], Ford: ["F-150", "Escape", "Transit"], Toyota: ["Corolla", "Camry", "Tacoma"], Subaru: ["Outback", "Forester"], Chevrolet: ["Malibu", "Silverado"], Nissan: ["Rogue", "Altima"], Kia: ["Soul"], Mazda: ["Mazda3"] }; // prettier-ignore
const TRADES = ["Deliveries", "Plumbing", "Bakery", "Electric", "Gardens", "Movers", "Roofing", "Couriers"];
const AREA_CODES = ["360", "206", "253", "425", "509", "541", "503"];
const VIN_SIGNS = "ABCDEFGHJKLMNPRSTUVWXYZ0123456789";
const CARS_PER_CUSTOMER = 1.8;
const BUSINESS_SHARE = 0.08;
const BATCH = 2000;
const REGION = "WA";

/** Fills a business with made-up customers and cars, what they are searched by included. The same seed, the same people. */
export async function generatePeople(
  db: Sequelize,
  businessId: string,
  count: number,
  seed = 7,
): Promise<MadeUpCustomer[]> {
  const chance = new Chance(seed);
  const maker = new PeopleMaker(chance, count);
  const all: MadeUpCustomer[] = [];
  for (let from = 0; from < count; from += BATCH) {
    const batch = Array.from({ length: Math.min(BATCH, count - from) }, (_, index) => maker.customer(from + index));
    await insertBatch(db, businessId, batch);
    all.push(...batch);
  }
  return all;
}

/** Work orders spread over all cars, each with a visit; one of two hundred is open, one of thirty put something off. */
export async function generateWork(
  client: Client,
  businessId: string,
  mechanicId: string,
  count: number,
): Promise<void> {
  const bind = [businessId, count, ...templates()];
  await client.query(
    `insert into work_orders (business_id, id, number, customer_id, vehicle_id, revision, state, waits_for, waits_since, total_cents, due_cents, later_count, open_conflicts, concerns, opened_at)
     select $1::uuid, id, 5000 + n, customer_id, vehicle_id, 6,
       replace(replace(replace(case when n % 200 = 0 then $5::text when n % 30 = 0 then $4::text else $3::text end, '<order>', id::text), '<customer>', customer_id::text), '<vehicle>', vehicle_id::text)::jsonb,
       case when n % 200 = 0 then 'answer' end, opened_at, 12440, case when n % 200 = 0 then 12440 else 0 end,
       case when n % 200 <> 0 and n % 30 = 0 then 1 else 0 end, 0, array['Oil change is due'], opened_at
     from (select gen_random_uuid() as id, n, cars.id as vehicle_id, cars.customer_id,
         now() - (n % 1900) * interval '1 day' as opened_at
       from (select id, customer_id, row_number() over (order by id) as place, count(*) over () as cars from vehicles where business_id = $1::uuid) cars
       cross join lateral generate_series(cars.place, $2::int, cars.cars) n) made
`,
    bind,
  );
  await client.query(
    `insert into visits (business_id, id, revision, mechanic_id, starts_at, ends_at, cancelled, arrived_at, left_at, state)
     select $1::uuid, id, 3, $2::uuid, opened_at + interval '1 day', opened_at + interval '25 hours', false, opened_at + interval '1 day', case when waits_for is null then opened_at + interval '25 hours' end,
       jsonb_build_object('version', 2, 'overlapAllowed', true, 'id', id, 'workOrderIds', jsonb_build_array(id), 'mechanicId', $2::uuid, 'note', '',
         'place', '{"street":"1 Ropewalk","town":"Larkhaven","region":"WA","postcode":"98099","latitude":null,"longitude":null}'::jsonb,
         'startsAt', opened_at + interval '1 day', 'endsAt', opened_at + interval '25 hours', 'bookedAt', opened_at,
         'setOffAt', null, 'arrivedAt', opened_at + interval '1 day', 'leftAt', case when waits_for is null then opened_at + interval '25 hours' end, 'cancelledAt', null)
     from work_orders where business_id = $1::uuid and number >= 5000`,
    [businessId, mechanicId],
  );
  await client.query(
    "insert into visit_work_orders (business_id, visit_id, work_order_id) select $1, id, id from work_orders where business_id = $1 and number >= 5000",
    [businessId],
  );
  await client.query("vacuum analyze");
}

class PeopleMaker {
  private readonly firstNames: string[];
  private readonly lastNames: string[];
  private readonly streets: string[];

  constructor(
    private readonly chance: Chance,
    count: number,
  ) {
    this.firstNames = madeUpNames(chance, 1200);
    // Of a hundred thousand people about a quarter bear a name of their own.
    this.lastNames = madeUpNames(chance, Math.min(18_000, 1000 + Math.floor(count / 5)));
    this.streets = madeUpStreets(chance, Math.min(4000, 500 + Math.floor(count / 20)));
  }

  customer(index: number): MadeUpCustomer {
    const { chance } = this;
    const isBusiness = chance.next() < BUSINESS_SHARE;
    const [first, last] = [chance.pickCommon(this.firstNames), chance.pickCommon(this.lastNames)];
    const name = isBusiness ? `${last} ${chance.pick(TRADES)}` : `${first} ${last}`;
    const place = {
      street: `${1 + chance.below(400)} ${chance.pick(this.streets)}`,
      town: "Larkhaven",
      region: "WA",
      postcode: "98099",
      latitude: null,
      longitude: null,
    };
    const contact = `${chance.pickCommon(this.firstNames)} ${chance.pickCommon(this.lastNames)}`;
    return {
      id: uuid(),
      kind: isBusiness ? "business" : "person",
      name,
      details: {
        ...noDetails(),
        phones: [{ number: this.phone(index), extension: null, label: "Mobile" }],
        emails:
          chance.next() < 0.7 ? [{ address: `${first}.${last}${index}@example.com`.toLowerCase(), label: "" }] : [],
        serviceAddresses: [{ id: uuid(), label: "Home", place, access: noAccessNotes() }],
        contacts:
          isBusiness || chance.next() < 0.2
            ? [
                {
                  id: uuid(),
                  name: contact,
                  role: isBusiness ? "Driver" : "Spouse",
                  phone: null,
                  email: null,
                  approvalLimitCents: 0,
                  mayPay: false,
                  mayHandOverKeys: true,
                },
              ]
            : [],
      },
      cars: this.cars(index),
    };
  }

  /** Each number once; one in fifty of another country. */
  private phone(index: number): string {
    if (index % 50 === 49) return `+4930${String(10_000_000 + index)}`;
    const area = AREA_CODES[index % AREA_CODES.length] ?? "360";
    const line = String(2_000_000 + Math.floor(index / AREA_CODES.length) * 97 + this.chance.below(90));
    return `+1${area}${line}`;
  }

  private cars(index: number): MadeUpCustomer["cars"] {
    const { chance } = this;
    // A handful of fleets, one or two cars with everybody else.
    const count = index % 5000 === 4999 ? 200 : chance.next() < CARS_PER_CUSTOMER - 1 - 0.04 ? 2 : 1;
    return Array.from({ length: count }, (_, at) => {
      const make = chance.pick(Object.keys(MAKES));
      const number = index * 2 + at;
      const letters = [0, 1, 2].map((place) =>
        String.fromCharCode(65 + (Math.floor(number / 10_000 / 26 ** place) % 26)),
      );
      return {
        id: uuid(),
        vin:
          Array.from({ length: 11 }, () => VIN_SIGNS[chance.below(VIN_SIGNS.length)]).join("") +
          String(100_000 + chance.below(900_000)),
        // The fleets' further plates stay apart from everybody's.
        plate: at < 2 ? `${letters.join("")}${String(number % 10_000).padStart(4, "0")}` : `F${index}X${at}`,
        year: 1998 + chance.below(26),
        make,
        model: chance.pick(MAKES[make] ?? []),
      };
    });
  }
}

const COLORS = ["White", "Black", "Gray", "Silver", "Blue", "Red"];

async function insertBatch(db: Sequelize, businessId: string, batch: MadeUpCustomer[]): Promise<void> {
  const customers = batch.map(({ cars, ...customer }) => ({
    ...customer,
    vehicles: cars.map((car) => ({
      ...car,
      plateKey: normalizePlate({ plate: car.plate, region: REGION }).key,
      region: REGION,
      color: COLORS[car.year % COLORS.length] ?? null,
      unitNumber: null,
      vinNote: null,
    })),
  }));
  await db.transaction(async (transaction) => {
    await insertCustomers(db, businessId, customers, transaction);
    await indexCustomers(
      db,
      businessId,
      customers.map(({ id }) => id),
      transaction,
    );
  });
}

/** States of a work order done and paid, one with something put off, one waiting for an answer; ids to be filled in. */
function templates(): string[] {
  const at = "2025-05-01T17:00:00.000Z";
  const actor = { id: uuid(), name: "Odile Farrow", rights: ["seeCost" as const] };
  const [oil, wipers] = [uuid(), uuid()];
  const build = (commands: WorkOrderCommand[]): WorkOrderState =>
    commands.reduce<WorkOrderState | null>(
      (state, command) =>
        applyCommand(state, command, {
          aggregateId: "<order>",
          commandId: uuid(),
          at,
          actor,
          settings: SETTINGS,
          library: LIBRARY,
          taxExempt: false,
        }),
      null,
    ) as WorkOrderState;
  const add = (jobId: string, libraryJobId: string): WorkOrderCommand => ({
    type: "addJob",
    jobId,
    libraryJobId,
    lineIds: (LIBRARY.find(({ id }) => id === libraryJobId)?.lines ?? []).map(() => uuid()),
    concernId: null,
    pointIds: [],
  });
  const open: WorkOrderCommand[] = [
    {
      type: "openWorkOrder",
      customerId: "<customer>",
      vehicleId: "<vehicle>",
      concerns: [{ id: uuid(), text: "Oil change is due", kind: "wish", phraseId: "oil-due" }],
    },
    { type: "recordOdometer", miles: 88_102 },
    ...SETTINGS.inspection.map(({ id }): WorkOrderCommand => ({
      type: "gradePoint",
      pointId: id,
      grade: "sound",
      measures: {},
      note: "",
    })),
    add(oil, "oil-service"),
  ];
  const answered = (answers: [string, "yes" | "later"][]): WorkOrderCommand => ({
    type: "recordAnswers",
    approvalId: uuid(),
    way: "spoken",
    name: "Somebody",
    signature: [],
    answers: answers.map(([jobId, answer]) => ({ jobId, title: "", answer, totalCents: 12_440 })),
    totalCents: 12_440,
  });
  const done: WorkOrderCommand[] = [
    { type: "finishJobs", jobIds: [oil] },
    { type: "takeCash", paymentId: uuid(), amountCents: 12_440, tenderedCents: 12_440 },
  ];
  return [
    build([...open, answered([[oil, "yes"]]), ...done]),
    build([
      ...open,
      add(wipers, "wipers"),
      answered([
        [oil, "yes"],
        [wipers, "later"],
      ]),
      ...done,
    ]),
    build(open),
  ].map((state) => JSON.stringify(state));
}

/** The demo's owner, whom made-up work belongs to. @param owner - the database as its owner sees it. */
export async function odilesIds(owner: Sequelize): Promise<{ businessId: string; personId: string }> {
  const [row] = await owner.query<{ businessId: string; personId: string }>(
    `select business_id as "businessId", id as "personId" from people where login = 'odile'`,
    { type: QueryTypes.SELECT },
  );
  if (!row) throw new Error("the demo was not loaded");
  return row;
}
