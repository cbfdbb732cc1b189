import type { Place } from "@mechanon/core";
import { findAddresses } from "../schedule/findAddresses";
import type { Deps } from "../scope";

/**
 * A place with its point, where the address service knows it: times that are offered are true for the drive there. Without
 * one it is booked all the same.
 */
export async function placed({ outside, log }: Pick<Deps, "outside" | "log">, place: Place): Promise<Place> {
  if (place.latitude !== null || place.street === "") return place;
  try {
    const [found] = await findAddresses(outside, `${place.street}, ${place.town}`);
    return found ? { ...place, latitude: found.latitude, longitude: found.longitude } : place;
  } catch (error) {
    log.warn({ err: error }, "address of a request not found");
    return place;
  }
}
