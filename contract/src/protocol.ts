/** Whose page asks: a browser holds one session, and a page left open may be of whoever was signed in before. */
export const PERSON_HEADER = "Mechanon-Person";

/** Which protocol an app speaks; left out by whoever is no app of ours. */
export const PROTOCOL_HEADER = "Mechanon-Protocol";

/**
 * The protocol of this contract, and of the acts an app keeps for later. Raised when a server of before could not take
 * what an app sends now.
 */
export const PROTOCOL = 8;

/** The oldest whose acts this server takes. Raised when what an older app sends cannot be brought forward any more. */
export const OLDEST_PROTOCOL = 1;
