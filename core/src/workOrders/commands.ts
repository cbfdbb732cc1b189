import { z } from "zod";
import { quoteLine } from "../quoting/line";
import { tenThousandths } from "../exact/decimal";
import { ANSWERS, GRADES, signature } from "./state";

const uuid = z.uuid();
const cents = z.number().int().min(0).max(100_000_000);
const words = (most: number) => z.string().trim().max(most);
const decimal = z
  .number()
  .min(0)
  .max(100_000)
  .refine((value) => tenThousandths(value) !== null, "has more than 4 decimals");
const pointId = words(60).min(1);

/** Opens a work order for a known customer and car. */
export const openWorkOrder = z.strictObject({
  type: z.literal("openWorkOrder"),
  customerId: uuid,
  vehicleId: uuid,
  concerns: z
    .array(
      z.strictObject({
        id: uuid,
        text: words(500).min(1),
        kind: z.enum(["fault", "wish"]),
        phraseId: words(60).nullable(),
      }),
    )
    .max(20),
});
export const addConcern = z.strictObject({
  type: z.literal("addConcern"),
  concernId: uuid,
  text: words(500).min(1),
  kind: z.enum(["fault", "wish"]),
  phraseId: words(60).nullable(),
});
export const removeConcern = z.strictObject({ type: z.literal("removeConcern"), concernId: uuid });
/** Another car, or none for now. What was found and answered was about the car in front, or about the wrong one. */
export const changeVehicle = z.strictObject({
  type: z.literal("changeVehicle"),
  vehicleId: uuid.nullable(),
  keepFindings: z.boolean(),
  keepAnswers: z.boolean(),
});
/** Another customer: the record was the wrong one. */
export const changeCustomer = z.strictObject({
  type: z.literal("changeCustomer"),
  customerId: uuid,
  keepAnswers: z.boolean(),
});
export const recordOdometer = z.strictObject({
  type: z.literal("recordOdometer"),
  miles: z.number().int().min(0).max(2_000_000),
});
export const recordPressures = z.strictObject({
  type: z.literal("recordPressures"),
  frontPsi: z.number().min(1).max(150),
  rearPsi: z.number().min(1).max(150),
});
export const gradePoint = z.strictObject({
  type: z.literal("gradePoint"),
  pointId,
  grade: z.enum(GRADES),
  measured: decimal.nullable(),
  note: words(500),
});
export const attachPhoto = z.strictObject({ type: z.literal("attachPhoto"), pointId, photoId: uuid });
export const removePhoto = z.strictObject({ type: z.literal("removePhoto"), pointId, photoId: uuid });
/** Puts a job of the library on the quote; `lineIds` has one id for each of its lines. */
export const addJob = z.strictObject({
  type: z.literal("addJob"),
  jobId: uuid,
  libraryJobId: words(60).min(1),
  lineIds: z.array(uuid).max(60),
  concernId: uuid.nullable(),
  pointId: pointId.nullable(),
});
/** A job the library does not have; its lines follow one by one. */
export const addOwnJob = z.strictObject({
  type: z.literal("addOwnJob"),
  jobId: uuid,
  title: words(120).min(1),
  concernId: uuid.nullable(),
});
export const removeJob = z.strictObject({ type: z.literal("removeJob"), jobId: uuid });
export const addLine = z.strictObject({ type: z.literal("addLine"), jobId: uuid, line: quoteLine });
export const removeLine = z.strictObject({ type: z.literal("removeLine"), lineId: uuid });
/** Changes figures of a line; null leaves a figure as it is. */
export const changeLine = z.strictObject({
  type: z.literal("changeLine"),
  lineId: uuid,
  hours: decimal.nullable(),
  quantity: decimal.nullable(),
  priceCents: cents.nullable(),
});
export const recordAnswers = z.strictObject({
  type: z.literal("recordAnswers"),
  approvalId: uuid,
  way: z.enum(["signed", "spoken"]),
  name: words(200).min(1),
  signature,
  answers: z
    .array(z.strictObject({ jobId: uuid, title: words(120), answer: z.enum(ANSWERS), totalCents: cents }))
    .min(1)
    .max(100),
  totalCents: cents,
});
export const receiveParts = z.strictObject({ type: z.literal("receiveParts"), lineIds: z.array(uuid).min(1).max(200) });
export const finishJobs = z.strictObject({ type: z.literal("finishJobs"), jobIds: z.array(uuid).min(1).max(100) });
export const takeCash = z
  .strictObject({
    type: z.literal("takeCash"),
    paymentId: uuid,
    amountCents: cents.min(1),
    tenderedCents: cents.min(1),
  })
  .refine((cash) => cash.tenderedCents >= cash.amountCents, {
    message: "less was handed over than is taken",
    path: ["tenderedCents"],
  });
export const settleConflict = z.strictObject({ type: z.literal("settleConflict"), conflictId: uuid });

/** What the server itself records after it dealt with the outside. */
export const recordPartsOrder = z.strictObject({
  type: z.literal("recordPartsOrder"),
  orderId: uuid,
  supplier: words(120).min(1),
  orderNumber: words(60).min(1),
  readyAt: z.iso.datetime().nullable(),
  items: z.array(z.strictObject({ lineId: uuid, partNumber: words(60), quantity: decimal, costCents: cents })).min(1),
});
export const recordCardPayment = z.strictObject({
  type: z.literal("recordCardPayment"),
  paymentId: uuid,
  amountCents: cents,
  lastFour: words(4),
  authorization: words(40),
});
export const recordCardDecline = z.strictObject({
  type: z.literal("recordCardDecline"),
  paymentId: uuid,
  amountCents: cents,
  reason: words(200),
});

/** Commands a person's device may send. */
export const clientWorkOrderCommand = z.discriminatedUnion("type", [
  openWorkOrder, changeVehicle, changeCustomer, addConcern, removeConcern, recordOdometer, recordPressures, gradePoint, attachPhoto, removePhoto, addJob, addOwnJob, removeJob, addLine, removeLine,
  changeLine, recordAnswers, receiveParts, finishJobs, takeCash, settleConflict,
]); // prettier-ignore
export type ClientWorkOrderCommand = z.infer<typeof clientWorkOrderCommand>;

export const workOrderCommand = z.discriminatedUnion("type", [
  clientWorkOrderCommand,
  recordPartsOrder,
  recordCardPayment,
  recordCardDecline,
]);
export type WorkOrderCommand = z.infer<typeof workOrderCommand>;
export type WorkOrderCommandOf<T extends WorkOrderCommand["type"]> = Extract<WorkOrderCommand, { type: T }>;
