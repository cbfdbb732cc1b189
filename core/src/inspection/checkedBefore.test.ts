import { checkedBefore, orderBefore } from "./checkedBefore";

const day = (instant: string): string => instant.slice(0, 10);
const order = (over: object) =>
  orderBefore.parse({ odometerMiles: null, findings: [], sheets: null, pictures: null, ...over });

it("reads what any version wrote: measurements, sheets closed, photos of points", () => {
  const before = checkedBefore(
    [
      order({
        odometerMiles: { value: 70455, at: "2026-01-20T18:00:00.000Z" },
        findings: [{ pointId: "pads", measured: 7.5, photoIds: ["a"], at: "2026-01-20T18:00:00.000Z", grade: "sound" }],
      }),
      order({
        odometerMiles: { value: 77120 },
        findings: [{ pointId: "pads", measures: { pad: 5.5 }, at: "2026-07-30T18:00:00.000Z" }],
        sheets: [
          { sheetId: "full", closedAt: "2026-07-30T18:10:00.000Z", points: [] },
          { sheetId: "quick", closedAt: null },
        ],
        pictures: [
          { photoId: "b", media: "clip", of: "point", id: "pads", at: "2026-07-30T18:00:00.000Z" },
          { photoId: "c", media: "photo", of: "mark", id: "m", at: "2026-07-30T18:00:00.000Z" },
        ],
      }),
    ],
    day,
  );
  expect(before.measures).toEqual([
    { pointId: "pads", key: "value", value: 7.5, odometer: 70455, date: "2026-01-20" },
    { pointId: "pads", key: "pad", value: 5.5, odometer: 77120, date: "2026-07-30" },
  ]);
  expect(before.sheets).toEqual([{ sheetId: "full", at: "2026-07-30T18:10:00.000Z", miles: 77120 }]);
  expect(before.pictures.map(({ photoId }) => photoId)).toEqual(["b", "a"]);
});

it("takes a measurement without an odometer for none, and what it cannot read for nothing", () => {
  const before = checkedBefore(
    [order({ findings: [{ pointId: "pads", measured: 7, at: "2026-01-20" }] }), order({ findings: "?" })],
    day,
  );
  expect(before).toEqual({ sheets: [], measures: [], pictures: [] });
});
