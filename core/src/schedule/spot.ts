/** A point on the map; nulls: nobody knows. */
export interface Spot {
  latitude: number | null;
  longitude: number | null;
}
