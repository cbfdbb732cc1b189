import { LANGUAGES, showDayIn, showTimeIn, type AskedVisit, type MessageKind } from "@mechanon/core";
import type { Transaction } from "sequelize";
import type { CommandDeps } from "../commands/aggregate";
import { tellCustomer } from "../messages/tellCustomer";
import { nameOfCar } from "./nameOfCar";

/** Whoever asked for a visit, as they are reached. */
export interface Asker {
  id: string;
  asked: AskedVisit;
  phone: string | null;
  email: string | null;
}

/** Tells whoever asked for a visit what becomes of it, by the ways they gave and agreed to. */
export async function tellAsker(
  deps: CommandDeps,
  businessId: string,
  { id, asked, phone, email }: Asker,
  { kind, words = "", key = id }: { kind: MessageKind; words?: string; key?: string },
  transaction: Transaction,
): Promise<void> {
  const { timeZone } = await deps.rules.now(businessId, transaction);
  const at = new Date().toISOString();
  const consent = (given: boolean) => ({ given, at, how: "" });
  const language = LANGUAGES.find((each) => each === asked.language) ?? "en";
  await tellCustomer(
    deps,
    { businessId },
    {
      kind,
      key,
      told: {
        name: asked.name,
        phones: phone === null ? [] : [{ number: phone, extension: null, label: "Mobile" }],
        emails: email === null ? [] : [{ address: email, label: "" }],
        preferredContact: null,
        textConsent: consent(asked.mayText),
        emailConsent: consent(asked.mayMail),
        language,
      },
      about: { customerId: null, workOrderId: null, requestId: id },
      values: {
        car: nameOfCar(asked.car),
        day: showDayIn(language, asked.time.startsAt, timeZone),
        time: showTimeIn(language, asked.time.startsAt, timeZone),
        words,
      },
    },
    transaction,
  );
}
