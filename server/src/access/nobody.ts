/** As whom it is done and held what a customer does by themselves: nobody of ours. */
export const NOBODY = "00000000-0000-0000-0000-000000000000";
