import { z } from "zod";

/** Every code a problem document can carry, with the status it comes with. */
export const PROBLEM_STATUS = {
  "request/unreadable": 400,
  "request/invalid": 422,
  "request/too-large": 413,
  "request/unsupported-type": 415,
  "request/key-missing": 400,
  "request/key-reused": 409,
  "request/wrong-origin": 403,
  "route/not-found": 404,
  "session/missing": 401,
  "session/wrong-password": 401,
  "session/too-many-tries": 429,
  "rights/missing": 403,
  "customer/not-found": 404,
  "customer/kept-already": 409,
  "customer/merge-with-itself": 409,
  "customer/work-open": 409,
  "customer/erased": 409,
  "merge/not-found": 404,
  "merge/too-late": 409,
  "merge/undone": 409,
  "import/not-found": 404,
  "import/unreadable": 422,
  "import/not-now": 409,
  "directory/unreachable": 503,
  "postcode/unreachable": 503,
  "vehicle/not-found": 404,
  "vehicle/vin-taken": 409,
  "vehicle/plate-taken": 409,
  "vehicle/owner-driver": 409,
  "vehicle/no-source": 422,
  "vehicle/source-unreachable": 503,
  "phrase/too-many": 409,
  "work-order/not-found": 404,
  "visit/not-found": 404,
  "photo/not-found": 404,
  "photo/unreadable": 422,
  "receipt/not-found": 404,
  "receipt/no-phone": 422,
  "receipt/texts-refused": 422,
  "version/changed": 409,
  "command/id-reused": 409,
  "command/refused": 409,
  "parts/nothing-to-order": 409,
  "parts/offer-changed": 409,
  "parts/supplier-unreachable": 503,
  "parts/supplier-refused": 409,
  "payment/nothing-due": 409,
  "payment/amount-too-high": 409,
  "payment/terminal-unreachable": 503,
  "plate/unknown": 404,
  "plate/register-unreachable": 503,
  "database/unreachable": 503,
  "server/failed": 500,
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
  })
  .meta({ id: "Problem" });
export type Problem = z.infer<typeof problem>;
