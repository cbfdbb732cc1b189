import { driveMinutes, milesBetween } from "./driveMinutes";

it("estimates a drive from coordinates, or says that it cannot", () => {
  const a = { latitude: 48.0412, longitude: -122.6188 };
  const b = { latitude: 48.0093, longitude: -122.5871 };
  expect(milesBetween(a, b)).toBeCloseTo(2.64, 1);
  expect(driveMinutes(a, b)).toBe(10);
  expect(driveMinutes(a, { latitude: null, longitude: null })).toBeNull();
});
