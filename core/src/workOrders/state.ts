import { z } from "zod";
import { quoteLine } from "../quoting/line";
import { moneyRules } from "../settings/businessSettings";

const instant = z.iso.datetime();
const cents = z.number().int().nonnegative();

export const concern = z.object({
  id: z.string(),
  text: z.string(),
  kind: z.enum(["fault", "wish"]),
  phraseId: z.string().nullable(),
  at: instant,
});
export type Concern = z.infer<typeof concern>;

/** How an inspection point was found, in our words: fine; will need work; needs work now; could not be looked at. */
export const GRADES = ["sound", "watch", "act", "skipped"] as const;
export type Grade = (typeof GRADES)[number];

export const finding = z.object({
  pointId: z.string(),
  grade: z.enum(GRADES),
  /** In the unit of the point's measure. */
  measured: z.number().nullable(),
  note: z.string(),
  photoIds: z.array(z.string()),
  at: instant,
  by: z.string(),
});
export type Finding = z.infer<typeof finding>;

/** The customer's word on a job, for the total it had then. */
export const ANSWERS = ["yes", "later", "no"] as const;
export type Answer = (typeof ANSWERS)[number];

export const job = z.object({
  id: z.string(),
  title: z.string(),
  libraryJobId: z.string().nullable(),
  concernId: z.string().nullable(),
  pointId: z.string().nullable(),
  lines: z.array(quoteLine),
  addedAt: instant,
  answer: z.object({ value: z.enum(ANSWERS), approvalId: z.string(), totalCents: cents }).nullable(),
  finishedAt: instant.nullable(),
});
export type Job = z.infer<typeof job>;

/** Strokes drawn with a finger: x and y alternating, 0..1000 of the field's width and height. */
export const signature = z.array(z.array(z.number().int().min(0).max(1000)).max(4000)).max(200);
export type Signature = z.infer<typeof signature>;

export const approval = z.object({
  id: z.string(),
  at: instant,
  by: z.string(),
  way: z.enum(["signed", "spoken"]),
  name: z.string(),
  signature,
  answers: z.array(z.object({ jobId: z.string(), title: z.string(), answer: z.enum(ANSWERS), totalCents: cents })),
  totalCents: cents,
});
export type Approval = z.infer<typeof approval>;

export const partsOrder = z.object({
  id: z.string(),
  at: instant,
  by: z.string(),
  supplier: z.string(),
  orderNumber: z.string(),
  readyAt: instant.nullable(),
  items: z.array(
    z.object({ lineId: z.string(), partNumber: z.string(), quantity: z.number(), costCents: cents.nullable() }),
  ),
});
export type PartsOrder = z.infer<typeof partsOrder>;

export const payment = z.object({
  id: z.string(),
  at: instant,
  by: z.string(),
  method: z.enum(["card", "cash"]),
  status: z.enum(["taken", "declined"]),
  amountCents: cents,
  /** Cash only: what was handed over, so the change is on record. */
  tenderedCents: cents.nullable(),
  card: z.object({ lastFour: z.string(), authorization: z.string() }).nullable(),
  reason: z.string().nullable(),
});
export type Payment = z.infer<typeof payment>;

/** A fact that no longer fit when it arrived; somebody settles it. */
export const conflict = z.object({
  id: z.string(),
  commandId: z.string(),
  code: z.enum([
    "approval/price-changed",
    "approval/job-gone",
    "payment/more-than-owed",
    "part/line-gone",
    "job/not-approved",
  ]),
  detail: z.string(),
  at: instant,
  settledAt: instant.nullable(),
  settledBy: z.string().nullable(),
});
export type Conflict = z.infer<typeof conflict>;

/** Everything about one repair of one vehicle. */
export const workOrderState = z.object({
  id: z.string(),
  customerId: z.string(),
  /** null: the car was taken off it, and no other is known yet. */
  vehicleId: z.string().nullable(),
  openedAt: instant,
  openedBy: z.string(),
  /** The money rules when it was opened; later changes of the settings do not reach it. */
  rules: moneyRules,
  taxExempt: z.boolean(),
  concerns: z.array(concern),
  odometerMiles: z.object({ value: z.number().int(), at: instant }).nullable(),
  /** As they were set, in psi. */
  pressures: z.object({ frontPsi: z.number(), rearPsi: z.number(), at: instant }).nullable(),
  findings: z.array(finding),
  jobs: z.array(job),
  approvals: z.array(approval),
  orders: z.array(partsOrder),
  received: z.array(z.object({ lineId: z.string(), at: instant, by: z.string() })),
  payments: z.array(payment),
  conflicts: z.array(conflict),
});
export type WorkOrderState = z.infer<typeof workOrderState>;
