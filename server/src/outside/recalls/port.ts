import type { RecallReport } from "@mechanon/contract";
import type { AskedCar } from "../specs/port";

/** What the maker calls back. */
export interface Recalls {
  of(car: Pick<AskedCar, "year" | "make" | "model"> & { vin: string }): Promise<RecallReport>;
}
