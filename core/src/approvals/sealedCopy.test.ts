import { agreedByAnswer, agreedByTakingBack } from "./agreedBy";
import { digestOf } from "./digest";
import { copyWithoutPerson, linkFault, seal, sealedCopy, type SealedCopy } from "./sealedCopy";

const SALTS = { facts: "00", person: "11", photos: "22" };
const WHERE = { workOrderId: "w", at: "2026-11-23T17:00:00.000Z", language: "en" as const };
const answer = (id: string, totalCents: number) =>
  agreedByAnswer(
    {
      ...{ approvalId: id, way: "page" as const, name: "Maren Oyelaran", signature: [[1, 2]], totalCents },
      answers: [{ jobId: "j", title: "Brakes", answer: "yes", totalCents, reason: "" }],
    },
    null,
    WHERE,
  );
const first = seal(answer("a", 100), null, SALTS);
const second = seal(answer("b", 200), first, SALTS);
const third = seal(
  agreedByTakingBack({ id: "t", at: WHERE.at, by: "x", name: "Maren", jobId: "j", title: "Brakes", totalCents: 200, costCents: 0 }, WHERE),
  second,
  SALTS,
); // prettier-ignore

/** The first broken link of a chain, by its place. */
function firstFault(chain: readonly SealedCopy[]): string | null {
  for (const [index, copy] of chain.entries()) {
    const fault = linkFault(copy, chain[index - 1] ?? null);
    if (fault) return `${copy.place} ${fault}`;
  }
  return null;
}

it("a chain as it was sealed proves, stored and read again, too", () => {
  const chain = [first, second, third];
  expect(firstFault(chain)).toBeNull();
  expect(firstFault(chain.map((copy) => sealedCopy.parse(JSON.parse(JSON.stringify(copy)))))).toBeNull();
});

const facts = { ...second.facts, totalCents: 201 };
it.each<[string, SealedCopy[], string]>([
  ["a price", [first, { ...second, facts }, third], "2 facts"],
  ["a price, with its digest", [first, { ...second, facts, digests: { ...second.digests, facts: digestOf(facts, "00") } }, third], "2 link"],
  ["a price, its digest and its link", [first, seal({ ...answer("b", 201) }, first, SALTS), third], "3 previous"],
  ["a name", [first, { ...second, person: { ...answer("b", 200).person!, name: "Somebody else" } }, third], "2 person"],
  ["a photo", [first, { ...second, photos: [{ id: "p", pointId: "pads", checksum: "ff" }] }, third], "2 photos"],
  ["a salt", [first, { ...second, salts: { ...SALTS, person: "99" } }, third], "2 person"],
  ["one that is gone", [first, third], "3 place"],
  ["one that is gone, the next put in its place", [first, { ...third, place: 2 }], "2 previous"],
  ["the first that is gone", [second, third], "2 place"],
  ["two that changed places", [second, first, third], "2 place"],
  ["facts that were erased", [first, { ...second, salts: { ...SALTS, facts: null } }, third], "2 facts"],
  ["a name put back after it was erased", [first, { ...copyWithoutPerson(second), person: second.person }, third], "2 person"],
])("finds %s", (_name, chain, fault) => {
  expect(firstFault(chain)).toBe(fault);
}); // prettier-ignore

it("proves after a person was erased, and nothing of them is left to be found out", () => {
  const erased = copyWithoutPerson(second);
  expect(firstFault([first, erased, third])).toBeNull();
  expect(JSON.stringify(erased)).not.toMatch(/Maren/);
  expect(erased.salts).toEqual({ facts: "00", person: null, photos: null });
});

it("the order fields are written in changes no digest, a salt does", () => {
  expect(digestOf({ a: 1, b: [1, { c: 2 }] })).toBe(digestOf({ b: [1, { c: 2 }], a: 1, d: undefined }));
  expect(digestOf("x", "1")).not.toBe(digestOf("x", "2"));
  // NIST's example of FIPS 180-4 for three letters, which canonical JSON puts in quotes: so through the salt.
  expect(digestOf(undefined, "abc")).toBe("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
});
