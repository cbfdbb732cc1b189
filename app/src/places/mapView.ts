import type { Spot } from "@mechanon/core";

/** A point that is known. */
export interface Point {
  latitude: number;
  longitude: number;
}

/** What a drawn map shows: around its middle, so many degrees of latitude high. */
export interface MapView {
  middle: Point;
  heightDegrees: number;
}

/** From a few houses to the whole region. */
const LEAST_DEGREES = 0.003;
const MOST_DEGREES = 0.4;
const USUAL_DEGREES = 0.02;
/** A press of an arrow goes on by so much of what is shown. */
const STEP = 0.25;

/** The map as it begins: at the point where one is known, otherwise where the region is. */
export function mapAround({ latitude, longitude }: Spot, otherwise: Point): MapView {
  const middle = latitude === null || longitude === null ? otherwise : { latitude, longitude };
  return { middle, heightDegrees: USUAL_DEGREES };
}

/** Nearer or farther away. */
export function zoomed({ middle, heightDegrees }: MapView, times: number): MapView {
  return { middle, heightDegrees: Math.min(MOST_DEGREES, Math.max(LEAST_DEGREES, heightDegrees * times)) };
}

/** Degrees of longitude that are as long as one of latitude there. */
function widening({ latitude }: Point): number {
  return 1 / Math.cos((latitude * Math.PI) / 180);
}

/** Gone on by steps to the east and to the north. */
export function gone({ middle, heightDegrees }: MapView, east: number, north: number): MapView {
  const step = heightDegrees * STEP;
  return {
    heightDegrees,
    middle: {
      latitude: middle.latitude + north * step,
      longitude: middle.longitude + east * step * widening(middle),
    },
  };
}

/** The bounds of what is shown in a picture of a width and a height. */
export function boundsOf({ middle, heightDegrees }: MapView, width: number, height: number) {
  const north = heightDegrees / 2;
  const east = (heightDegrees / 2) * (width / height) * widening(middle);
  return {
    south: middle.latitude - north,
    north: middle.latitude + north,
    west: middle.longitude - east,
    east: middle.longitude + east,
  };
}

/** Where a point stands in the picture, in pixels from the top left. */
export function pixelOf(
  view: MapView,
  width: number,
  height: number,
  [longitude, latitude]: readonly [number, number],
): [number, number] {
  const { west, east, south, north } = boundsOf(view, width, height);
  return [((longitude - west) / (east - west)) * width, ((north - latitude) / (north - south)) * height];
}

/** The point at a pixel of the picture. */
export function pointAt(view: MapView, width: number, height: number, x: number, y: number): Point {
  const { west, east, south, north } = boundsOf(view, width, height);
  return { latitude: north - (y / height) * (north - south), longitude: west + (x / width) * (east - west) };
}
