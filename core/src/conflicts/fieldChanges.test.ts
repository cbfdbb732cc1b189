import { changedFields, makeChanges } from "./fieldChanges";

interface Car {
  plate: string | null;
  color: string;
  phones: { number: string }[];
}
const car: Car = { plate: "K1", color: "red", phones: [{ number: "1" }] };

it("tells only of what is another now, in lists and in what is empty, too", () => {
  expect(changedFields(car, { ...car })).toEqual({ was: {}, becomes: {} });
  expect(changedFields(car, { plate: null, phones: [{ number: "1" }] })).toEqual({
    was: { plate: "K1" },
    becomes: { plate: null },
  });
  expect(changedFields(car, { phones: [{ number: "1" }, { number: "2" }] }).becomes).toEqual({
    phones: [{ number: "1" }, { number: "2" }],
  });
});

it("leaves what others changed beside it", () => {
  const theirs = { ...car, color: "blue" };
  const changes = changedFields(car, { plate: "K2" });
  expect(makeChanges(theirs, changes)).toEqual({
    fields: { plate: "K2", color: "blue", phones: car.phones },
    overtaken: [],
  });
});

it("made twice it is the same, as where the first answer was lost", () => {
  const changes = changedFields(car, { plate: "K2", phones: [] });
  const once = makeChanges(car, changes).fields;
  expect(makeChanges(once, changes)).toEqual({ fields: once, overtaken: [] });
});

it("says which fields others changed to something else, and lets them stand", () => {
  const theirs = { ...car, plate: "K9" };
  expect(makeChanges(theirs, changedFields(car, { plate: "K2", color: "green" }))).toEqual({
    fields: { plate: "K9", color: "green", phones: car.phones },
    overtaken: ["plate"],
  });
});
