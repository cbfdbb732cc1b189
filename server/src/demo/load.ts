import { v7 as uuid } from "uuid";
import {
  BUSINESS,
  CUSTOMERS,
  LIBRARY,
  PEOPLE,
  SETTINGS,
  STREETS,
  SUPPLIER,
  WORK_ORDERS,
  type DemoCustomer,
  type DemoVisit,
  type DemoWorkOrder,
} from "@mechanon/demo";
import {
  addDays,
  approvedParts,
  balanceOf,
  dayOf,
  fillGaps,
  instantAt,
  jobTotals,
  noAccessNotes,
  noDetails,
  normalizePlate,
  priceWorkOrder,
  type CustomerDetails,
  type Place,
  type VisitCommand,
  type WorkOrderCommand,
} from "@mechanon/core";
import { hashPassword } from "../access/passwords";
import { Business, CustomerRow, LibraryJobRow, Person, SupplierRow, VehicleRow } from "../db/models";
import { ofBusiness } from "../db/ofBusiness";
import type { Deps, Scope } from "../scope";
import { indexOutdated } from "../search/indexCustomers";
import { runVisitCommands } from "../visits/service";
import { findWorkOrder, runWorkOrderCommands } from "../workOrders/service";

/** Loads the demo scenario, its days around `now`. All work goes through the real commands. */
export async function loadDemo(deps: Deps, now: Date): Promise<void> {
  const businessId = uuid();
  const loader = new DemoLoader(deps, businessId, now);
  await ofBusiness(businessId, async () => {
    await loader.loadBusiness();
    await loader.loadCustomers();
    for (const order of WORK_ORDERS) await loader.loadWorkOrder(order);
    await indexOutdated(deps.db, businessId);
  });
}

class DemoLoader {
  private readonly people = new Map<string, string>();
  private readonly cars = new Map<
    string,
    { vehicleId: string; customerId: string; place: Place; customerName: string }
  >();
  private readonly today: string;

  constructor(
    private readonly deps: Deps,
    private readonly businessId: string,
    private readonly now: Date,
  ) {
    this.today = dayOf(now.toISOString(), BUSINESS.timeZone);
  }

  async loadBusiness(): Promise<void> {
    const { businessId } = this;
    await Business.create({
      id: businessId,
      name: BUSINESS.name,
      timeZone: BUSINESS.timeZone,
      settings: SETTINGS,
      isDemo: true,
    });
    for (const { key, password, rights, ...person } of PEOPLE) {
      const id = uuid();
      this.people.set(key, id);
      await Person.create({
        businessId,
        id,
        ...person,
        rights: [...rights],
        passwordHash: await hashPassword(password),
        demoPassword: password,
      });
    }
    await SupplierRow.create({ businessId, id: SUPPLIER.id, name: SUPPLIER.name, position: 0 });
    await LibraryJobRow.bulkCreate(LIBRARY.map((job, position) => ({ businessId, id: job.id, position, job })));
  }

  async loadCustomers(): Promise<void> {
    const { businessId } = this;
    for (const customer of CUSTOMERS) {
      const { name, kind = "person", cars } = customer;
      const id = uuid();
      const place = placeOf(customer);
      await CustomerRow.create({
        businessId,
        id,
        kind,
        name,
        details: detailsOf(customer, place),
        version: 1,
      });
      for (const { key, vin, plate, year, make, model, engine, color, unitNumber } of cars) {
        const vehicleId = uuid();
        this.cars.set(key, { vehicleId, customerId: id, place, customerName: name });
        const { key: plateKey } = normalizePlate({ plate, region: "WA" });
        await VehicleRow.create({
          businessId,
          id: vehicleId,
          customerId: id,
          vin,
          plate,
          plateKey,
          region: "WA",
          year,
          make,
          model,
          trim: null,
          engine,
          drive: null,
          color,
          unitNumber,
          version: 1,
        });
      }
    }
  }

  async loadWorkOrder(order: DemoWorkOrder): Promise<void> {
    const car = this.cars.get(order.car);
    if (!car) throw new Error(`the demo names a car that is not there: ${order.car}`);
    const id = uuid();
    const openedAt = this.at(-order.openedDaysAgo, "08:15");
    const lastVisit = order.visits[order.visits.length - 1];
    const onSiteAt = lastVisit ? this.startOf(lastVisit) : openedAt;
    const send = (command: WorkOrderCommand, at: string): Promise<unknown> =>
      runWorkOrderCommands(this.deps, this.scope(lastVisit?.mechanic), id, [{ id: uuid(), at, command }]);

    const concerns = order.concerns.map((phraseId) => {
      const phrase = SETTINGS.concerns.find((candidate) => candidate.id === phraseId);
      if (!phrase) throw new Error(`the demo names a concern that is not there: ${phraseId}`);
      return { id: uuid(), text: fillGaps(phrase.text, {}), kind: phrase.kind, phraseId };
    });
    if (order.ownWords !== undefined) concerns.push({ id: uuid(), text: order.ownWords, kind: "fault", phraseId: "" });
    await send(
      {
        type: "openWorkOrder",
        customerId: car.customerId,
        vehicleId: car.vehicleId,
        concerns: concerns.map((concern) => ({ ...concern, phraseId: concern.phraseId || null })),
      },
      openedAt,
    );
    for (const visit of order.visits) await this.loadVisit(visit, id, car.place, openedAt);
    if (order.odometer !== undefined) await send({ type: "recordOdometer", miles: order.odometer }, onSiteAt);
    if (order.pressures) {
      const [frontPsi, rearPsi] = order.pressures;
      await send({ type: "recordPressures", frontPsi, rearPsi }, onSiteAt);
    }
    for (const [pointId, { grade, measured, note }] of Object.entries(order.findings ?? {}))
      await send({ type: "gradePoint", pointId, grade, measured: measured ?? null, note: note ?? "" }, onSiteAt);
    for (const libraryJobId of order.jobs ?? []) {
      const lines = LIBRARY.find(({ id: jobId }) => jobId === libraryJobId)?.lines ?? [];
      const answered = concerns.find(({ phraseId }) =>
        LIBRARY.find((job) => job.id === libraryJobId)?.answersConcerns.includes(phraseId),
      );
      await send(
        {
          type: "addJob",
          jobId: uuid(),
          libraryJobId,
          lineIds: lines.map(() => uuid()),
          concernId: answered?.id ?? null,
          pointId: null,
        },
        onSiteAt,
      );
    }
    if (order.answers) await this.answer(order, id, car.customerName, onSiteAt, send);
  }

  private async answer(
    order: DemoWorkOrder,
    id: string,
    name: string,
    at: string,
    send: (command: WorkOrderCommand, at: string) => Promise<unknown>,
  ): Promise<void> {
    const { state } = await findWorkOrder({ businessId: this.businessId }, id);
    const totals = jobTotals(state);
    const answers = state.jobs.flatMap(({ id: jobId, title, libraryJobId }) => {
      const answer = order.answers?.[libraryJobId ?? ""];
      return answer ? [{ jobId, title, answer, totalCents: totals.get(jobId) ?? 0 }] : [];
    });
    await send(
      {
        type: "recordAnswers",
        approvalId: uuid(),
        way: "spoken",
        name,
        signature: [],
        answers,
        totalCents: priceWorkOrder(state, "all").total,
      },
      at,
    );
    if (order.parts) {
      const parts = approvedParts((await findWorkOrder({ businessId: this.businessId }, id)).state, "needed");
      const items = parts.map((line) => ({
        lineId: line.id,
        partNumber: line.partNumber ?? "",
        quantity: line.quantity,
        costCents: line.costCents ?? 0,
      }));
      if (items.length > 0)
        await send(
          {
            type: "recordPartsOrder",
            orderId: uuid(),
            supplierId: SUPPLIER.id,
            supplier: SUPPLIER.name,
            orderNumber: `GH-${70_000 + order.openedDaysAgo * 131 + items.length}`,
            readyAt: null,
            items,
          },
          at,
        );
      if (items.length > 0 && order.parts === "received")
        await send({ type: "receiveParts", items: parts.map(({ id: lineId }) => ({ lineId, quantity: null })) }, at);
    }
    if (order.finished)
      await send(
        { type: "finishJobs", jobIds: answers.filter(({ answer }) => answer === "yes").map(({ jobId }) => jobId) },
        at,
      );
    if (!order.paid) return;
    const { dueCents: amountCents } = balanceOf((await findWorkOrder({ businessId: this.businessId }, id)).state);
    if (order.paid === "cash")
      await send(
        { type: "takeCash", paymentId: uuid(), amountCents, tenderedCents: Math.ceil(amountCents / 2000) * 2000 },
        at,
      );
    else
      await send(
        { type: "recordCardPayment", paymentId: uuid(), amountCents, lastFour: "4407", authorization: "A551208" },
        at,
      );
  }

  private async loadVisit(visit: DemoVisit, workOrderId: string, place: Place, bookedAt: string): Promise<void> {
    const id = uuid();
    const startsAt = this.startOf(visit);
    const endsAt = new Date(Date.parse(startsAt) + visit.minutes * 60_000).toISOString();
    const send = (command: VisitCommand, at: string): Promise<unknown> =>
      runVisitCommands(this.deps, this.scope(visit.mechanic), id, [{ id: uuid(), at, command }]);
    await send(
      {
        type: "bookVisit",
        workOrderIds: [workOrderId],
        mechanicId: this.people.get(visit.mechanic) ?? "",
        place,
        startsAt,
        endsAt,
        note: visit.note ?? "",
        allowOverlap: true,
      },
      bookedAt,
    );
    if (visit.reached === "driving") await send({ type: "setOff", driveMinutes: 12 }, startsAt);
    if (visit.reached === "onSite" || visit.reached === "over") await send({ type: "arrive" }, startsAt);
    if (visit.reached === "over") await send({ type: "leave" }, endsAt);
  }

  /** When a visit starts; one that is under way or over started long enough ago, whatever the hour it is now. */
  private startOf({ day, at, minutes, reached }: DemoVisit): string {
    const planned = this.at(day, at);
    const latest = new Date(this.now.getTime() - minutes * 60_000).toISOString();
    return reached !== undefined && planned > latest ? latest : planned;
  }

  private at(day: number, time: string): string {
    const [hours = 0, minutes = 0] = time.split(":").map(Number);
    return instantAt(addDays(this.today, day), hours * 60 + minutes, BUSINESS.timeZone);
  }

  private scope(key: string = "odile"): Scope {
    const person = PEOPLE.find((candidate) => candidate.key === key) ?? PEOPLE[0];
    return {
      businessId: this.businessId,
      businessName: BUSINESS.name,
      timeZone: BUSINESS.timeZone,
      actor: { id: this.people.get(person.key) ?? "", name: person.name, rights: [...person.rights] },
    };
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
