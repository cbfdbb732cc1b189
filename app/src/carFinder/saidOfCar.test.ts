import { emptyCarSearch } from "./carSearch";
import { contradiction } from "./saidOfCar";

const guess = { year: 2011, make: "JAGUAR", model: "XF" };

it.each([
  [{ pickedYear: 2016, pickedMake: "FORD" }, "2016 Ford was said before; this is a 2011 Jaguar XF."],
  [{ year: "2012" }, "2012 was said before"],
  [{ make: "Ford" }, "Ford was said before"],
])("%j is told", (said, words) => {
  expect(contradiction({ ...emptyCarSearch(), ...said }, guess)).toContain(words);
});

it.each([{}, { pickedYear: 2011 }, { make: "jaguar" }, { model: "XF Premium" }, { year: "20" }])(
  "%j is no contradiction",
  (said) => {
    expect(contradiction({ ...emptyCarSearch(), ...said }, guess)).toBeNull();
  },
);
