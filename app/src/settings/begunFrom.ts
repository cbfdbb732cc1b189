import { businessSettings, type BusinessSettings } from "@mechanon/core";
import { z } from "zod";
import { settingsForward } from "../offline/settingsForward";

/** The settings a form was begun from: kept beside what is typed, to tell later what others changed meanwhile. */
export const begunFrom = z.custom<BusinessSettings>(
  (value) => businessSettings.safeParse(settingsForward(value)).success,
);
