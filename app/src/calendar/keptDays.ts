import { routes } from "@mechanon/contract";
import { keptDay } from "../day/keptDay";

/** Days as this device kept them: visits of yesterday's app are brought forward. */
export const keptDays = routes.getDays.answer.extend({ visits: keptDay.shape.visits });
