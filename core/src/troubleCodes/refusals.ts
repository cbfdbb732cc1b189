export const TROUBLE_CODE_REFUSALS = {
  "code/not-found": "That code was taken out already. The rest is unchanged.",
  "code/too-many": "A hundred codes are noted here already. This one was not added; note it in the words of a concern.",
} as const;
export type TroubleCodeRefusal = keyof typeof TROUBLE_CODE_REFUSALS;
