import { ENGLISH } from "@mechanon/core";
import { arrowOf, circleOf } from "./drawnShapes";
import { isPhotoFault, photoFaultKey, photoFaultWords, type PhotoFault } from "./photoFault";

const FAULTS: PhotoFault["fault"][] = ["tooLarge", "tooManyPixels", "noPicture", "damaged", "nothingToSee", "heic", "clipTooLarge", "clipTooLong"]; // prettier-ignore

it.each(FAULTS)("%s says what happened, that it was not kept, and what to do", (fault) => {
  expect(photoFaultWords("pads.heic", { fault })).toMatch(/^pads\.heic .*not kept; /);
  expect(ENGLISH[photoFaultKey({ fault })]).toMatch(/not kept; /);
  expect(isPhotoFault({ fault })).toBe(true);
});

it("names a file without a name", () => {
  expect(photoFaultWords("", { fault: "damaged" })).toMatch(/^This file /);
});

it("draws an arrow whose tip is where the finger came down, never too short to be seen", () => {
  expect(arrowOf({ x: 10, y: 20 }, { x: 110, y: 20 })).toEqual([110, 20, 10, 20]);
  expect(arrowOf({ x: 10, y: 20 }, { x: 11, y: 20 })).toEqual([34, 44, 10, 20]);
});

it("draws a circle around what lies between, never too small", () => {
  expect(circleOf({ x: 0, y: 0 }, { x: 100, y: 60 })).toEqual({ x: 50, y: 30, radiusX: 50, radiusY: 30 });
  expect(circleOf({ x: 5, y: 5 }, { x: 5, y: 5 })).toMatchObject({ radiusX: 14, radiusY: 14 });
});
