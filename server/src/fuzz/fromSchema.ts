import { v7 as uuid } from "uuid";
import type { Chance } from "../testing/madeUp";

/** As much of JSON Schema as the server's own description uses. */
export interface JsonSchema {
  $ref?: string;
  type?: string | string[];
  const?: unknown;
  enum?: unknown[];
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
  allOf?: JsonSchema[];
  properties?: Record<string, JsonSchema>;
  required?: string[];
  items?: JsonSchema;
  minItems?: number;
  maxItems?: number;
  additionalProperties?: JsonSchema | boolean;
  format?: string;
  minLength?: number;
  maxLength?: number;
  pattern?: string;
  minimum?: number;
  maximum?: number;
}

const NASTY_TEXT = ["", " ", "\u0000", "a\u0000b", "\ud800", "x\udc00", "constructor", "__proto__", "toString", "'; drop table customers; --", "%00", "../../etc/passwd", "=cmd|' /C calc'!A0", "\u202Eabc", "😀", "NaN", "-1", "null", "[]", "{}", "0000-01-01", "9999-12-31"]; // prettier-ignore
const NASTY_NUMBERS = [0, -1, 1, 0.1, 1e-7, 1.23456, 2 ** 31, 2 ** 53, -(2 ** 53), 1e12, 1e308, 3e9];
const INSTANTS = ["0000-01-01T00:00:00Z", "0001-01-01T00:00:00.000Z", "1970-01-01T00:00:00Z", "2026-11-25T18:00:00.000Z", "9999-12-31T23:59:59Z"]; // prettier-ignore
const DAYS = ["0000-01-01", "0001-01-01", "2026-11-25", "2026-02-30", "9999-12-31"];
/** So often something else stands where the schema wants a value. */
const STRAYS_PERCENT = 1;

/** Makes values after a schema: mostly such as fit, with every edge the schema names, and now and then such as do not. */
export class SchemaFuzz {
  /** @param ids - of what is there, so that not everything ends with "not found". */
  constructor(
    private readonly chance: Chance,
    private readonly schemas: Readonly<Record<string, JsonSchema>>,
    private readonly ids: readonly string[],
  ) {}

  value(schema: JsonSchema, depth = 0): unknown {
    if (this.percent(STRAYS_PERCENT)) return this.stray();
    if (schema.$ref) return this.value(this.schemas[schema.$ref.split("/").pop() ?? ""] ?? {}, depth);
    if ("const" in schema) return schema.const;
    if (schema.enum) return this.chance.pick(schema.enum);
    const choices = schema.anyOf ?? schema.oneOf;
    if (choices) {
      // A choice that takes anything is there for what fits none of the others.
      const told = choices.filter((each) => Object.keys(each).length > 0);
      return this.value(this.chance.pick(told.length > 0 ? told : choices), depth);
    }
    if (schema.allOf) return Object.assign({}, ...schema.allOf.map((each) => this.value(each, depth))) as unknown;
    const type = Array.isArray(schema.type) ? this.chance.pick(schema.type) : schema.type;
    switch (type) {
      case "string":
        return this.text(schema);
      case "integer":
      case "number":
        return this.number(schema, type === "integer");
      case "boolean":
        return this.percent(50);
      case "null":
        return null;
      case "array":
        return this.list(schema, depth);
      case "object":
        return this.object(schema, depth);
      default:
        return this.stray();
    }
  }

  private object({ properties = {}, required = [], additionalProperties }: JsonSchema, depth: number): object {
    const kept = Object.entries(properties).filter(([key]) =>
      required.includes(key) ? !this.percent(1) : this.percent(60),
    );
    const made: Record<string, unknown> = Object.fromEntries(
      kept.map(([key, schema]) => [key, this.value(schema, depth + 1)]),
    );
    if (typeof additionalProperties === "object") made[this.word()] = this.value(additionalProperties, depth + 1);
    return made;
  }

  private list({ items = {}, minItems = 0, maxItems = 4 }: JsonSchema, depth: number): unknown[] {
    const most = depth > 3 ? 1 : Math.min(maxItems, 3);
    const count = minItems + this.chance.below(Math.max(1, most - minItems + 1));
    const made = Array.from({ length: count }, () => this.value(items, depth + 1));
    // The same twice is an edge of its own.
    return made.length > 0 && this.percent(10) ? [...made, made[0]] : made;
  }

  private text({ format, maxLength = 200, minLength = 0, pattern }: JsonSchema): string {
    if (format === "uuid") return this.percent(70) && this.ids.length > 0 ? this.chance.pick(this.ids) : uuid();
    if (format === "date-time") return this.chance.pick(INSTANTS);
    if (format === "date") return this.chance.pick(DAYS);
    if (format === "email") return this.percent(70) ? `x${this.chance.below(1e6)}@example.com` : this.word();
    if (pattern && this.percent(50)) return "12345";
    if (this.percent(20)) return this.word();
    if (this.percent(5)) return "w".repeat(Math.min(maxLength, 5000));
    return "word ".repeat(1 + this.chance.below(3)).slice(0, Math.max(minLength, 1, Math.min(maxLength, 15)));
  }

  private number({ minimum = -1000, maximum = 1000 }: JsonSchema, isWhole: boolean): number {
    if (this.percent(15)) return this.chance.pick(NASTY_NUMBERS);
    if (this.percent(15)) return this.chance.pick([minimum, maximum]);
    const [from, to] = [Math.max(minimum, -1e6), Math.min(maximum, 1e6)];
    const value = from + this.chance.next() * (to - from);
    return isWhole ? Math.round(value) : Math.round(value * 100) / 100;
  }

  private stray(): unknown {
    return this.chance.pick<unknown>([
      null,
      true,
      7,
      "text",
      [],
      {},
      [[]],
      { a: { b: 1 } },
      this.word(),
      this.chance.pick(NASTY_NUMBERS),
    ]);
  }

  word(): string {
    return this.chance.pick(NASTY_TEXT);
  }

  percent(share: number): boolean {
    return this.chance.below(100) < share;
  }
}
