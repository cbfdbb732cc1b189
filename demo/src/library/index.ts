import type { LibraryJob } from "@mechanon/core";
import { BRAKES_AND_WHEELS } from "./brakesAndWheels";
import { ELECTRICS_AND_BODY } from "./electricsAndBody";
import { WHOLE_ORDERS } from "./wholeOrders";
import { ENGINE_AND_FLUIDS } from "./engineAndFluids";

/** The jobs the demo business keeps ready. Brands and part numbers are made up. */
export const LIBRARY: LibraryJob[] = [
  ...BRAKES_AND_WHEELS,
  ...ENGINE_AND_FLUIDS,
  ...ELECTRICS_AND_BODY,
  ...WHOLE_ORDERS,
];
