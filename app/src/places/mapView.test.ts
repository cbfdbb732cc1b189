import { boundsOf, gone, mapAround, pixelOf, pointAt, zoomed } from "./mapView";

const HOME = { latitude: 48, longitude: -122.6 };
const view = mapAround({ latitude: null, longitude: null }, HOME);

it("begins at the point that is known, otherwise at home", () => {
  expect(view.middle).toEqual(HOME);
  expect(mapAround({ latitude: 47, longitude: -122 }, HOME).middle).toEqual({ latitude: 47, longitude: -122 });
});

it("finds a point at its pixel again, wherever the map went", () => {
  const elsewhere = zoomed(gone(view, 1, -2), 0.5);
  expect(pixelOf(elsewhere, 360, 300, [elsewhere.middle.longitude, elsewhere.middle.latitude])).toEqual([
    expect.closeTo(180),
    expect.closeTo(150),
  ]);
  const point = pointAt(elsewhere, 360, 300, 12, 250);
  const [x, y] = pixelOf(elsewhere, 360, 300, [point.longitude, point.latitude]);
  expect([x, y]).toEqual([expect.closeTo(12), expect.closeTo(250)]);
});

it("shows as far to the east as to the north, at the latitude there, and zooms no farther than it makes sense", () => {
  const { west, east, south, north } = boundsOf(view, 300, 300);
  expect((east - west) * Math.cos((48 * Math.PI) / 180)).toBeCloseTo(north - south);
  expect(zoomed(view, 0.0001).heightDegrees).toBeGreaterThan(0);
  expect(zoomed(view, 10_000).heightDegrees).toBeLessThan(1);
});
