/** What of a customer's words was found, by how well it fits. */
export interface Scored {
  customer_id: string;
  score: number;
}

/** So many are answered, the best of them. */
export const MOST_CUSTOMERS = 20;
/** A word of a name says more than one of a contact, that more than one of a street or a car: so much a field. */
export const FIELD_WEIGHT = 2;
