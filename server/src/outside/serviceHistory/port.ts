import type { ElsewhereReport } from "@mechanon/contract";

/** What others did to a car. */
export interface ServiceHistory {
  of(vin: string): Promise<ElsewhereReport>;
}
