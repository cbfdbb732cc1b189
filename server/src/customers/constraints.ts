import { idTaken, type ConstraintProblems } from "../http/constraints";

/** What it means when a constraint of customers stands in the way. */
export const CUSTOMER_CONSTRAINTS: ConstraintProblems = { customers_pkey: idTaken };
