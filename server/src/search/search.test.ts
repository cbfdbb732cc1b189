import { v7 as uuid } from "uuid";
import type { Customer, Found } from "@mechanon/contract";
import { findOrder, startTestServer, type HttpAnswer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const create = (body: object, id = uuid()): Promise<HttpAnswer<Customer>> =>
  odile.post<Customer>("/api/customers", { id, ...body }, { "Idempotency-Key": id });
const find = async (typed: string): Promise<Found> =>
  (await odile.get<Found>(`/api/search?q=${encodeURIComponent(typed)}`)).body;
const names = async (typed: string): Promise<string[]> =>
  (await find(typed)).customers.map(({ customer }) => customer.name);

describe("the search", () => {
  it.each([
    ["a whole name", "Maren Oyelaran", "Maren Oyelaran"],
    ["the last name first", "oyelaran maren", "Maren Oyelaran"],
    ["parts of both names", "mar oye", "Maren Oyelaran"],
    ["the inside of a name", "elar", "Maren Oyelaran"],
    ["swapped letters", "Mraen", "Maren Oyelaran"],
    ["a wrong letter", "Oyeloran", "Maren Oyelaran"],
    ["a missing letter", "Castelanos", "Bram Castellanos"],
    ["an added letter", "Lindqvisst", "Jasper Lindqvist"],
    ["a wrong first letter", "Karen", "Maren Oyelaran"],
    ["a slip in half a name", "fethers", "Linus Featherstone"],
    ["both names misspelled", "brma castelanos", "Bram Castellanos"],
    ["a hyphenated name", "haddad bell", "Noor Haddad-Bell"],
    ["a business", "harbor", "Harbor Bread Deliveries"],
    ["a business in one word", "harborbread", "Harbor Bread Deliveries"],
    ["a contact", "gideon", "Harbor Bread Deliveries"],
    ["a contact's phone", "360 555 0152", "Harbor Bread Deliveries"],
    ["a phone with parentheses", "(360) 555-0111", "Maren Oyelaran"],
    ["a phone with dots", "360.555.0111", "Maren Oyelaran"],
    ["a phone with the country", "+1 360 555 0111", "Maren Oyelaran"],
    ["a phone dialed from abroad", "001 360 555 0111", "Maren Oyelaran"],
    ["a local phone", "555-0111", "Maren Oyelaran"],
    ["the last four", "0111", "Maren Oyelaran"],
    ["a second phone with its extension", "360 555 0196 x12", "Bram Castellanos"],
    ["a phone with two digits swapped", "360 555 1011", "Maren Oyelaran"],
    ["a plate", "LRK 1204", "Maren Oyelaran"],
    ["a plate with O for 0", "lrk12o4", "Maren Oyelaran"],
    ["the end of a plate", "1204", "Maren Oyelaran"],
    ["a plate with a wrong sign", "LRK1294", "Maren Oyelaran"],
    ["a VIN", "1HGCV1F34KA048217", "Maren Oyelaran"],
    ["the last six of a VIN", "048217", "Maren Oyelaran"],
    ["the last eight of a VIN", "KA048217", "Maren Oyelaran"],
    ["a VIN with O for 0", "1HGCV1F34KAO48217", "Maren Oyelaran"],
    ["a VIN with two signs swapped", "1HGCV1F34KA042817", "Maren Oyelaran"],
    ["an email", "maren@example.com", "Maren Oyelaran"],
    ["the beginning of an email", "maren@", "Maren Oyelaran"],
    ["a house and street", "18 heron", "Maren Oyelaran"],
    ["a house and street, a digit wrong", "148 ferry slip", "Bram Castellanos"],
    ["a street", "foghorn", "Teodor Vance"],
    ["a street written short", "31 kelp st", "Noor Haddad-Bell"],
    ["a street written short as nobody else does", "heron lndg 18", "Maren Oyelaran"],
    ["a model without its dash", "crv", "Sunniva Achterberg"],
    ["a color and a model", "silver prius", "Noor Haddad-Bell"],
    ["a unit of a fleet", "unit 2", "Harbor Bread Deliveries"],
    ["a VIN with what it is", "VIN: 1HGCV1F34KA048217", "Maren Oyelaran"],
    ["a plate with what it is", "plate LRK 1204", "Maren Oyelaran"],
    ["a name and a car", "jasper corolla", "Jasper Lindqvist"],
    ["a car by its year", "lindqvist 2016", "Jasper Lindqvist"],
    ["a name and the last four of a phone", "maren 0111", "Maren Oyelaran"],
    ["a name copied with its phone", "Maren Oyelaran (360) 555-0111", "Maren Oyelaran"],
    ["a misspelled name and a plate", "oyeloran LRK12O4", "Maren Oyelaran"],
    ["a plate with its state", "LRK1204 WA", "Maren Oyelaran"],
    ["a name copied from a table", "maren\toyelaran\r\n", "Maren Oyelaran"],
    ["an email with a null character", "maren@\u0000", "Maren Oyelaran"],
    ["a phone copied from a link", "tel:+13605550111", "Maren Oyelaran"],
    ["an email copied with its name", "Maren <maren@example.com>", "Maren Oyelaran"],
    ["a local phone with two digits swapped", "555-1011", "Maren Oyelaran"],
    ["the last eight of a VIN with a wrong sign", "KA048297", "Maren Oyelaran"],
    ["the last six of a VIN, its middle swapped", "042817", "Maren Oyelaran"],
  ])("finds by %s first", async (_what, typed, name) => expect((await names(typed))[0]).toBe(name));

  it("finds while a phone is half typed", async () => {
    expect(await names("360-555-011")).toContain("Maren Oyelaran");
  });
  it("finds a foreign phone however it is typed", async () => {
    await create({ name: "Aoife Brennock", phones: [{ number: "+353 1 555 0142" }] });
    for (const typed of [
      "+353 1 555 0142",
      "00353 1 555 0142",
      "011 353 1 555 0142",
      "01 555 0142",
      "353 (0)1 555 0142",
    ])
      expect([typed, (await names(typed))[0]]).toEqual([typed, "Aoife Brennock"]);
  });
  it("finds names of any script", async () => {
    await create({ name: "نور الهدى" });
    await create({ name: "Søren Ægidius 🚗" });
    expect([(await names("نور"))[0], await names("soren aegidius"), await names("🚗")]).toEqual([
      "نور الهدى",
      ["Søren Ægidius 🚗"],
      ["Søren Ægidius 🚗"],
    ]);
  });
  it("finds names and streets however they are spelled", async () => {
    const place = { town: "St Orran", region: "WA", postcode: "98121", latitude: null, longitude: null };
    await create({
      name: "Pieter van der Quell",
      serviceAddresses: [{ id: uuid(), place: { ...place, street: "4417 NE Saint Orsel Street" } }],
    });
    await create({ name: "Birch & Daughters", kind: "business" });
    await create({ name: "西田小春" });
    for (const typed of ["vanderquell", "van der quell", "4417 st orsel", "northeast saint orsel st", "saint orran"])
      expect([typed, (await names(typed))[0]]).toEqual([typed, "Pieter van der Quell"]);
    expect([(await names("birch and daughters"))[0], (await names("小春"))[0]]).toEqual([
      "Birch & Daughters",
      "西田小春",
    ]);
  });
  it("does not take words with a code for anybody who has the code alone", async () => {
    const { customers, oddWords } = await find("teodor 0111");
    expect([customers.map(({ customer }) => customer.name), oddWords]).toEqual([["Teodor Vance"], ["0111"]]);
  });
  it("finds a work order by its number, and shows cars and open work with whom it found", async () => {
    const order = await findOrder(odile, "Bram Castellanos");
    expect((await find(String(order.number))).workOrders.map(({ id }) => id)).toEqual([order.id]);
    expect((await find(`#${order.number}`)).workOrders.map(({ id }) => id)).toEqual([order.id]);
    const [bram] = (await find("bram")).customers;
    expect(bram?.vehicles.map(({ model }) => model).sort()).toEqual(["Silverado", "Tahoe"]);
    expect(bram?.openWork.map(({ id }) => id)).toContain(order.id);
  });
  it("says what else matched", async () => {
    expect((await find("gideon")).customers[0]?.foundBy).toEqual([
      { what: "contact", text: "Gideon Maas, Fleet manager" },
      { what: "email", text: "gideon@example.com" },
    ]);
  });
  it("finds a new name, a changed one no more by the old", async () => {
    const { body } = await create({ name: "Quillon Ashgrove" });
    expect(await names("ashgrove")).toEqual(["Quillon Ashgrove"]);
    await odile.send("PATCH", `/api/customers/${body.id}`, { name: "Quillon Birchmere", version: 1 });
    expect([await names("ashgrove"), await names("birchmere")]).toEqual([[], ["Quillon Birchmere"]]);
  });
});

describe("names as they are heard", () => {
  beforeAll(async () => {
    for (const name of [
      "William Tetherstone",
      "Katherine Schmidt",
      "Piotr Kowalczyk",
      "Remy Thibodeaux",
      "Sean Ashgrove",
      "Linh Nguyen",
      "Fiona MacGillivray",
      "Иван Петренко",
      "Ελένη Παπαδοπούλου",
    ])
      await create({ name });
  });
  it.each([
    ["Bill Tetherstone", "William Tetherstone"],
    ["Kathryn Schmidt", "Katherine Schmidt"],
    ["Katie Smith", "Katherine Schmidt"],
    ["Kowalchik", "Piotr Kowalczyk"],
    ["Kovalchik", "Piotr Kowalczyk"],
    ["Thibodo", "Remy Thibodeaux"],
    ["Shawn Ashgrove", "Sean Ashgrove"],
    ["Nwen", "Linh Nguyen"],
    ["McGilivray", "Fiona MacGillivray"],
    ["Ivan Petrenko", "Иван Петренко"],
    ["Eleni Papadopoulou", "Ελένη Παπαδοπούλου"],
    ["Петренко", "Иван Петренко"],
  ])("%s finds %s", async (typed, name) => {
    const { customers, oddWords } = await find(typed);
    expect([customers[0]?.customer.name, oddWords]).toEqual([name, []]);
  });
  it("shows what matches the other words, and which one does not", async () => {
    expect(await find("Zebulon Tetherstone")).toMatchObject({
      customers: [{ customer: { name: "William Tetherstone" } }],
      oddWords: ["zebulon"],
    });
    // Somebody has it, but not together with the rest.
    expect(await find("Noor Tetherstone")).toMatchObject({ oddWords: [expect.any(String)] });
    expect((await find("Noor Tetherstone")).customers.length).toBeGreaterThan(0);
    expect(await find("Xqzzt Vvbnm")).toMatchObject({ customers: [], oddWords: [] });
    expect(await find("Maren Oyelaran")).toMatchObject({ oddWords: [] });
    expect(await find("Zebulon 360 555 0111")).toMatchObject({
      customers: [{ customer: { name: "Maren Oyelaran" } }],
      oddWords: ["zebulon"],
    });
  });
});

it("finds by a plate or a model year who also has the words typed with it, and nobody else", async () => {
  const names = async (typed: string) => (await find(typed)).customers.map(({ customer }) => customer.name);
  expect(await names("maren LRK1204")).toEqual(["Maren Oyelaran"]);
  expect((await find("bram LRK1204")).oddWords).not.toEqual([]);
  expect(await names("2019 oyelaran")).toEqual(["Maren Oyelaran"]);
});

describe("a complete phone", () => {
  it("shows who has it alone; who nearly has it is told apart", async () => {
    const exact = await find("360 555 0111");
    expect(exact.customers.map(({ customer, isNear }) => [customer.name, isNear])).toEqual([["Maren Oyelaran", false]]);
    const near = await find("360 555 0181");
    expect(near.customers.length).toBeGreaterThan(0);
    expect(near.customers.every(({ isNear }) => isNear)).toBe(true);
  });
});
