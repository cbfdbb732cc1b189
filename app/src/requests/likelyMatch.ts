import { isSurelySame } from "@mechanon/core";
import type { RequestMatches } from "@mechanon/contract";

/** Who it is, and which car; null: new ones. */
export interface Match {
  customerId: string | null;
  vehicleId: string | null;
}

/** What is taken for right until somebody says otherwise: the surest customer, and the car that is theirs. */
export function likelyMatch({ customers, car }: RequestMatches): Match {
  const sure = customers.find(({ likenesses }) => isSurelySame(likenesses));
  const customerId = sure?.customer.id ?? null;
  return { customerId, vehicleId: car && car.ownerId === customerId ? car.vehicle.id : null };
}
