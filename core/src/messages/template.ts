/** What a template may name, as in `{day}`. */
export const TEMPLATE_FIELDS = [
  "business",
  "phone",
  "customer",
  "car",
  "mechanic",
  "day",
  "time",
  "minutes",
  "before",
  "amount",
  "words",
  "link",
] as const;
export type TemplateField = (typeof TEMPLATE_FIELDS)[number];
export type TemplateValues = Partial<Record<TemplateField, string>>;

const FIELD = /\{([^{}]*)\}/g;

/** Names in braces that are no field, and braces that are not closed, as they were typed. @example unknownFields("Hi {custmer}, {day}") //=> ["{custmer}"] */
export function unknownFields(template: string): string[] {
  const named = [...template.matchAll(FIELD)].filter(([, name]) => !isField(name ?? "")).map(([whole]) => whole);
  const loose = template.replace(FIELD, "").match(/[{}]/g) ?? [];
  return [...new Set([...named, ...loose])];
}

/**
 * A template with its fields filled; what nothing is known of leaves no gap.
 *
 * @example
 * fillTemplate("Hi {customer}, we come {day} {time}.", { customer: "Ana", day: "Sat Dec 5" }) //=> "Hi Ana, we come Sat Dec 5."
 */
export function fillTemplate(template: string, values: TemplateValues): string {
  return template
    .replace(FIELD, (whole, name: string) => (isField(name) ? (values[name] ?? "") : whole))
    .replace(/[ \t]+/g, " ")
    .replace(/ ([.,;:!?])/g, "$1")
    .replace(/ *\n */g, "\n")
    .trim();
}

function isField(name: string): name is TemplateField {
  return (TEMPLATE_FIELDS as readonly string[]).includes(name);
}
