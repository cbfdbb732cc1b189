import { v7 as uuid } from "uuid";
import type { Vehicle } from "@mechanon/contract";
import { findSheet, startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

it("links, unlinks and moves at once without standing in each other's way", async () => {
  const sheets = await Promise.all(["Petra", "Caspian", "Teodor", "Amparo"].map((name) => findSheet(odile, name)));
  const drivers = sheets.map(({ customer }) => customer.id);
  const cars = sheets.flatMap(({ vehicles }) => vehicles.map(({ id }) => id));
  const statuses: number[] = [];
  for (let round = 0; round < 12; round++) {
    const answers = await Promise.all(
      cars.flatMap((car) =>
        drivers.flatMap((driver, place) => [
          (round + place) % 2 === 0
            ? odile.post(`/api/vehicles/${car}/people`, { customerId: driver, role: "Driver" })
            : odile.send("DELETE", `/api/vehicles/${car}/people/${driver}`),
        ]),
      ),
    );
    statuses.push(...answers.map(({ status }) => status));
  }
  // An owner is no driver of their own car.
  expect([...new Set(statuses)].filter((status) => ![200, 409].includes(status))).toEqual([]);
});

it("keeps cars for one customer that are brought in at once", async () => {
  const { customer } = await findSheet(odile, "Petra");
  const answers = await Promise.all(
    Array.from({ length: 8 }, (_, index) =>
      odile.post<Vehicle>(
        "/api/vehicles",
        {
          id: uuid(),
          customerId: customer.id,
          vin: null,
          plate: null,
          region: null,
          year: 2010 + index,
          make: "Fennick",
          model: "Rover",
          trim: null,
          engine: null,
          drive: null,
          color: null,
        },
        { "Idempotency-Key": uuid() },
      ),
    ),
  );
  expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 8 }, () => 201));
});
