import {
  fillTemplate,
  showPhone,
  type BusinessSettings,
  type Language,
  type MessageKind,
  type MessageWay,
  type TemplateValues,
} from "@mechanon/core";

/** A message as it goes out by one way. */
export interface Composed {
  /** Of a mail; null: a text has none. */
  subject: string | null;
  text: string;
}

/** What somebody without a car on file has. */
const SOME_CAR: Record<Language, string> = { en: "your car", es: "su auto" };

/** Words of the owner's template for one way, in a customer's language. */
export function compose(
  { name: business, settings }: { name: string; settings: Pick<BusinessSettings, "messages" | "phone"> },
  kind: MessageKind,
  told: { name: string; language: Language },
  channel: MessageWay["channel"],
  values: TemplateValues,
): Composed {
  const { text, subject, mail } = settings.messages.kinds[kind][told.language];
  const filled: TemplateValues = {
    business,
    phone: showPhone(settings.phone),
    customer: firstName(told.name),
    ...values,
    car: values.car || SOME_CAR[told.language],
  };
  return channel === "mail"
    ? { subject: fillTemplate(subject, filled), text: fillTemplate(mail, filled) }
    : { subject: null, text: fillTemplate(text, filled) };
}

/** What somebody is called in a letter: of a person the first name. */
export function firstName(name: string): string {
  return name.trim().split(/\s+/)[0] ?? "";
}
