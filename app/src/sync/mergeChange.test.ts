import { stateSample, vehicleSample, viewSample, visitSample } from "../testing/samples";
import { mergeChange, withVisit } from "./mergeChange";

const odometerMiles = { value: 9, at: "2026-11-23T17:00:00.000Z" };
const change = { id: "order-1", number: 1001, fromRevision: 1, revision: 2, state: { odometerMiles }, parties: null };

it("puts what changed into the copy it was made from, and leaves the rest", () => {
  const known = viewSample();
  const merged = mergeChange(known, change);
  expect(merged).toMatchObject({ revision: 2, state: { odometerMiles }, customer: known.customer });
  expect(merged?.state.jobs).toBe(known.state.jobs);
});

it("asks for the whole where it was made from another revision, or where there is no copy", () => {
  expect(mergeChange(viewSample(), { ...change, fromRevision: 2, revision: 3 })).toBeNull();
  expect(mergeChange(undefined, change)).toBeNull();
});

it("leaves a copy that is as new already as it is", () => {
  const known = viewSample({ revision: 2 });
  expect(mergeChange(known, change)).toBe(known);
});

it("brings customer and car along where they became others", () => {
  const vehicle = vehicleSample({ id: "car-2" });
  const merged = mergeChange(viewSample(), {
    ...change,
    parties: { odometerBefore: [], carBefore: null, customer: null, vehicle },
  });
  expect(merged).toMatchObject({ customer: null, vehicle: { id: "car-2" } });
});

it("has all of one that was only now opened", () => {
  const parties = { customer: null, vehicle: null, odometerBefore: [], carBefore: null };
  const opened = mergeChange(undefined, { ...change, fromRevision: 0, revision: 1, state: stateSample(), parties });
  expect(opened).toMatchObject({ number: 1001, visits: [], requests: [], state: { id: "order-1" } });
});

it("keeps visits in their order", () => {
  const [early, late] = [
    visitSample({ id: "a", startsAt: "2026-11-23T08:00:00.000Z" }),
    visitSample({ id: "b", startsAt: "2026-11-23T09:00:00.000Z" }),
  ];
  const view = withVisit(viewSample({ visits: [late] }), early);
  expect(view.visits.map(({ id }) => id)).toEqual(["a", "b"]);
  expect(withVisit(view, { ...early, leftAt: "2026-11-23T08:30:00.000Z" }).visits[0]?.leftAt).not.toBeNull();
});
