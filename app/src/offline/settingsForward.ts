import { inspectionSheet, upgradeInspection, upgradeMessages } from "@mechanon/core";
import { z } from "zod";

const settingsBefore = z.looseObject({
  inspection: z.array(z.unknown()),
  sheets: z.array(inspectionSheet).optional(),
  messages: z.unknown().optional(),
});
const businessBefore = z.looseObject({ settings: settingsBefore });

/** Settings as an app of any version kept them, as they are now; what is none comes back as it is, to be refused. */
export function settingsForward(kept: unknown): unknown {
  const read = settingsBefore.safeParse(kept);
  if (!read.success) return kept;
  const { inspection, sheets, messages } = read.data;
  return {
    ...read.data,
    ...upgradeInspection(inspection, sheets),
    ...(messages === undefined ? {} : { messages: upgradeMessages(messages) }),
  };
}

/** The business the same way. */
export function businessForward(kept: unknown): unknown {
  const read = businessBefore.safeParse(kept);
  return read.success ? { ...read.data, settings: settingsForward(read.data.settings) } : kept;
}
