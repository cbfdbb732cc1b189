import { startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const find = async (typed: string) =>
  odile.get<{ code: string; addresses: object[] }>(`/api/addresses?${new URLSearchParams({ typed }).toString()}`);

it("finds a house on the roads, with its town and postcode, misspelled too", async () => {
  const found = { street: "18 Heron Landing", town: "Larkhaven", region: "WA", postcode: "98099" };
  expect((await find("18 heron landing")).body.addresses).toMatchObject([found]);
  expect((await find("18 Herron Landing")).body.addresses).toMatchObject([found]);
  const [one, other] = [
    (await find("2 Heron Landing")).body.addresses,
    (await find("140 Heron Landing")).body.addresses,
  ];
  expect(one).not.toMatchObject([{ longitude: (other as { longitude: number }[])[0]?.longitude }]);
  expect((await find("18 Nowhere At All")).body.addresses).toEqual([]);
});

it("says where nobody can be asked", async () => {
  await server.fault("addresses", "down");
  expect(await find("18 Heron Landing")).toMatchObject({ status: 503, body: { code: "address/unreachable" } });
  await server.fault("addresses", "none");
  expect((await find("")).status).toBe(422);
});
