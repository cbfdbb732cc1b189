import { showMoney } from "../money/money";
import type { Arranged, CallQuestion, PlaceQuestion } from "./arranged";

/** What is asked, and how it is told of in a line once it is answered. */
export const QUESTION_WORDS: Record<CallQuestion | PlaceQuestion, { asks: string; yes: string; no: string }> = {
  starts: { asks: "Does it start?", yes: "starts", no: "does not start" },
  drives: { asks: "Can it be driven?", yes: "can be driven", no: "cannot be driven" },
  lampOn: { asks: "Is a warning lamp on?", yes: "a lamp is on", no: "no lamp" },
  wheelLockKey: { asks: "Is the wheel-lock key there?", yes: "wheel-lock key there", no: "no wheel-lock key" },
  secondKey: { asks: "Is there a second key?", yes: "second key", no: "one key only" },
  landlordAllows: { asks: "Does the landlord allow it?", yes: "landlord allows it", no: "landlord does not allow it" },
  mayOpen: { asks: "May we open the car?", yes: "may be opened", no: "may not be opened" },
  mayDrive: { asks: "May we test-drive it?", yes: "may be test-driven", no: "no test drive" },
  levelHardGround: { asks: "Is the ground level and hard?", yes: "level, hard ground", no: "soft or sloping ground" },
  roof: { asks: "Is there a roof?", yes: "under a roof", no: "no roof" },
  power: { asks: "Is there power?", yes: "power there", no: "no power" },
};

/** What was agreed, on one line; empty: nothing yet. */
export function arrangedLine(agreed: Arranged): string {
  const answers = Object.entries(QUESTION_WORDS).flatMap(([question, { yes, no }]) => {
    const answer = agreed[question as keyof typeof QUESTION_WORDS];
    return answer === null ? [] : [answer ? yes : no];
  });
  const upTo = agreed.maySpendCents === null ? "" : ` up to ${showMoney(agreed.maySpendCents)}`;
  return [
    ...answers,
    agreed.heightInches === null ? "" : `${agreed.heightInches} in high`,
    agreed.whoIsThere && `there: ${agreed.whoIsThere}`,
    agreed.keyLies && `key: ${agreed.keyLies}`,
    agreed.maySayYes && `${agreed.maySayYes} may say yes${upTo}`,
    agreed.termsAcceptedAt === null ? "" : "terms accepted",
  ]
    .filter(Boolean)
    .join(", ");
}
