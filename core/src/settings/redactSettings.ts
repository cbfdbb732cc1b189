import { hasRight } from "../access/rights";
import { redactRules, type Viewer } from "../quoting/redact";
import type { BusinessSettings } from "./businessSettings";

/** The settings as a person may see them: without the right to see cost, no wage and no markup. */
export function redactSettings(settings: BusinessSettings, viewer: Viewer): BusinessSettings {
  return hasRight(viewer, "seeCost") ? settings : { ...settings, rules: redactRules(settings.rules) };
}
