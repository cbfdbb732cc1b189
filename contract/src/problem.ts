import { z } from "zod";
import { ACCESS_PROBLEMS } from "./access/problems";
import { CUSTOMER_PROBLEMS } from "./customers/problems";
import { CUSTOMER_PAGE_PROBLEMS } from "./customerPages/problems";
import { MESSAGE_PROBLEMS } from "./messages/problems";
import { PAYMENT_PROBLEMS } from "./payments/problems";
import { PHOTO_PROBLEMS } from "./photos/problems";
import { REQUEST_VISIT_PROBLEMS } from "./requests/problems";
import { SETTINGS_PROBLEMS } from "./settings/problems";
import { SOURCING_PROBLEMS } from "./sourcing/problems";
import { TRANSFER_PROBLEMS } from "./transfer/problems";
import { VEHICLE_PROBLEMS } from "./vehicles/problems";
import { VISIT_PROBLEMS } from "./visits/problems";
import { WORK_ORDER_PROBLEMS } from "./workOrders/problems";

/** Codes of what can go wrong with any request, whatever it is about. */
const REQUEST_PROBLEMS = {
  "request/unreadable": 400,
  "request/invalid": 422,
  "request/too-large": 413,
  "request/unsupported-type": 415,
  "request/key-missing": 400,
  "request/key-reused": 409,
  "request/id-taken": 409,
  "request/outcome-unknown": 503,
  "request/wrong-origin": 403,
  "request/too-often": 429,
  "server/busy": 503,
  /** The app is older than what this server takes. */
  "app/outdated": 409,
  /** The server is older than the app. */
  "app/ahead": 503,
  /** Said by a server newer than this app, which does not know the code; its words are all there is. */
  "request/unknown": 400,
  "route/not-found": 404,
  "version/changed": 409,
  "database/unreachable": 503,
  "server/failed": 500,
} as const;

/** Every code a problem document can carry, with the status it comes with: what each area keeps, put together. */
export const PROBLEM_STATUS = {
  ...REQUEST_PROBLEMS,
  ...MESSAGE_PROBLEMS,
  ...REQUEST_VISIT_PROBLEMS,
  ...CUSTOMER_PAGE_PROBLEMS,
  ...ACCESS_PROBLEMS,
  ...CUSTOMER_PROBLEMS,
  ...PAYMENT_PROBLEMS,
  ...PHOTO_PROBLEMS,
  ...SETTINGS_PROBLEMS,
  ...SOURCING_PROBLEMS,
  ...TRANSFER_PROBLEMS,
  ...VEHICLE_PROBLEMS,
  ...VISIT_PROBLEMS,
  ...WORK_ORDER_PROBLEMS,
} as const;
export type ProblemCode = keyof typeof PROBLEM_STATUS;
const PROBLEM_CODES = Object.keys(PROBLEM_STATUS) as [ProblemCode, ...ProblemCode[]];

/** An error on the wire. @see RFC 9457 */
export const problem = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.number().int(),
    code: z.enum(PROBLEM_CODES),
    detail: z.string(),
    fields: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
    /** Of what is kept already: the id it is kept under. */
    keptId: z.string().optional(),
  })
  .meta({ id: "Problem" });
export type Problem = z.infer<typeof problem>;
