import { run, start } from "../testing/sampleWorkOrder";
import type { WorkOrderState } from "../workOrders/state";
import { photoIdsOf, picturesOf, pointPhotos } from "./picturesOf";

const attach = (state: WorkOrderState, photoId: string, over: object = {}): WorkOrderState =>
  run(state, {
    ...{ type: "attachPhoto", photoId, media: "photo", of: "point", id: "pads", moment: null, drawnOn: null },
    ...over,
  });

it("shows what is drawn in the place of the untouched one, which comes back when the drawing goes", () => {
  const drawn = attach(attach(start(), "a"), "b", { drawnOn: "a" });
  expect(picturesOf(drawn, "point", "pads").map(({ photoId }) => photoId)).toEqual(["b"]);
  expect(photoIdsOf(drawn)).toEqual(["a", "b"]);
  const back = run(drawn, { type: "removePhoto", photoId: "b" });
  expect(picturesOf(back, "point", "pads").map(({ photoId }) => photoId)).toEqual(["a"]);
});

it("ties a picture to one thing, and once", () => {
  const state = attach(attach(attach(start(), "a"), "a"), "c", { of: "mark", id: "m1", moment: "before" });
  expect(pointPhotos(state)("pads")).toBe(1);
  expect(picturesOf(state, "mark", "m1")).toMatchObject([{ photoId: "c", moment: "before" }]);
  expect(picturesOf(state, "mark", "m2")).toEqual([]);
});

it("takes sixty of one thing and no more", () => {
  let state = start();
  for (let n = 0; n < 60; n++) state = attach(state, `p${n}`);
  expect(() => attach(state, "one more")).toThrow("photo/too-many");
  expect(() => run(state, { type: "removePhoto", photoId: "none" })).toThrow("photo/not-found");
});
