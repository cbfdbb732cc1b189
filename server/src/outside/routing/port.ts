export interface RoutePoint {
  latitude: number;
  longitude: number;
}

/** A service that knows how long drives take. */
export interface RoutingServer {
  /** Whole minutes from each point to each; null where it knows no way. */
  table(points: readonly RoutePoint[]): Promise<(number | null)[][]>;
}
