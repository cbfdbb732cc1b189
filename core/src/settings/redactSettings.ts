import { hasRight } from "../access/rights";
import { redactRules, type Viewer } from "../quoting/redact";
import { redactStock } from "../quoting/redactStock";
import type { BusinessSettings } from "./businessSettings";

/** The settings as a person may see them: without the right to see cost, no wage and no markup. */
export function redactSettings(settings: BusinessSettings, viewer: Viewer): BusinessSettings {
  if (hasRight(viewer, "seeCost")) return settings;
  const { rules, stock } = settings;
  return { ...settings, rules: redactRules(rules), stock: redactStock(stock, rules) };
}
