import type { ClientWorkOrderCommand, ShownQuote, Signature } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import type { GivenChoice } from "./useAnswering";

/** What was answered, and who answered it. */
export interface Answered {
  signer: string;
  strokes: Signature;
  totalCents: number;
  given: readonly GivenChoice[];
  shown: ShownQuote;
  /** Whose yes it needs, too. */
  also: string | null;
  /** The number it was told over. */
  phone?: string;
}

/** The command that records answers given to us. */
export function answersCommand(
  way: "signed" | "spoken",
  { signer: name, strokes: signature, totalCents, given, shown, also, phone }: Answered,
): ClientWorkOrderCommand {
  return {
    ...{ type: "recordAnswers", approvalId: uuid(), way, name, signature, totalCents, shown },
    answers: given.map(({ reason, askOn, ...answer }) => ({
      ...answer,
      ...(reason === "" ? {} : { reason }),
      ...(askOn === null ? {} : { askOn }),
    })),
    ...(also === null ? {} : { needsAlso: also }),
    ...(phone ? { phone } : {}),
  };
}
