import { WORD_FIELDS, type WordField } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { startTestServer, type TestServer } from "../testing/testServer";
import { byAllWords } from "./byAllWords";
import type { FittingWord } from "./findWords";

const FREQUENT = 20_000;
const businessId = uuid();
let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server?.stop());

async function keep(words: Partial<Record<WordField, string[]>>): Promise<string> {
  const id = uuid();
  for (const [field, own] of Object.entries(words))
    await server.db.query(
      "insert into customer_words (business_id, customer_id, field, word) select $1, $2, $3, unnest($4::text[])",
      { bind: [businessId, id, WORD_FIELDS.indexOf(field as WordField), own] },
    );
  return id;
}
const whole = (word: string, customers = 20): FittingWord[] => [{ word, way: "whole", fit: 40, customers }];
const ids = async (...typed: FittingWord[][]): Promise<string[]> =>
  (await byAllWords(server.db, businessId, typed)).map(({ customer_id: id }) => id);

it("answers who has all words, a name before a contact before a car", async () => {
  const driver = await keep({ name: ["tamsin", "orrell"], car: ["vesper"] });
  const contact = await keep({ name: ["tamsin"], contact: ["vesper"] });
  const named = await keep({ name: ["tamsin", "vesper"] });
  await keep({ name: ["tamsin"] });
  await keep({ car: ["vesper"] });
  expect(await ids(whole("tamsin"), whole("vesper"))).toEqual([named, contact, driver]);
  expect(await ids(whole("tamsin"), whole("vesper", FREQUENT))).toEqual([named, contact, driver]);
  expect(await ids(whole("tamsin", FREQUENT), whole("vesper", FREQUENT), whole("orrell"))).toEqual([driver]);
});

it("looks for a frequent word first with those who have it in their name, however many drive it", async () => {
  const named = await keep({ name: ["wilmot", "zorvan"] });
  for (let driver = 0; driver < 80; driver++) await keep({ name: ["wilmot"], car: ["zorvan"] });
  const found = await ids(whole("wilmot"), whole("zorvan", FREQUENT));
  expect([found[0], found.length]).toEqual([named, 20]);
});

it("holds many fitting words against all of a customer's", async () => {
  const endings = Array.from({ length: 12 }, (_, index) => `plains${index}`);
  const driver = await keep({ name: ["odalys"], car: ["plains7"] });
  const fitting = endings.map((word) => ({ word, way: "beginning" as const, fit: 30, customers: FREQUENT }));
  expect(await ids(whole("odalys"), fitting)).toEqual([driver]);
});
