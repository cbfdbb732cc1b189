import { z } from "zod";
import { arrivalSlice } from "../arrival/slice";
import { approvalSlice } from "../approvals/slice";
import { concernSlice } from "../concerns/slice";
import { conflictSlice } from "../conflicts/slice";
import { inspectionSlice } from "../inspection/slice";
import { paperSlice } from "../papers/slice";
import { paymentSlice } from "../payments/slice";
import { pictureSlice } from "../pictures/slice";
import { quoteSlice } from "../quoting/slice";
import { sourcingSlice } from "../sourcing/slice";
import { troubleCodeSlice } from "../troubleCodes/slice";

/** How a work order's state is written now; an older one is brought forward when it is read. @see upgradeWorkOrder */
export const WORK_ORDER_VERSION = 3;

/** Everything about one repair of one vehicle: what it is, and a slice of each area. */
export const workOrderState = z.object({
  version: z.literal(WORK_ORDER_VERSION),
  id: z.string(),
  /** null: opened before it is known whose it is. */
  customerId: z.string().nullable(),
  /** null: the car is not known yet, or was taken off. */
  vehicleId: z.string().nullable(),
  openedAt: z.iso.datetime(),
  openedBy: z.string(),
  ...concernSlice.shape,
  ...arrivalSlice.shape,
  ...inspectionSlice.shape,
  ...pictureSlice.shape,
  ...troubleCodeSlice.shape,
  ...quoteSlice.shape,
  ...approvalSlice.shape,
  ...paperSlice.shape,
  ...sourcingSlice.shape,
  ...paymentSlice.shape,
  ...conflictSlice.shape,
});
export type WorkOrderState = z.infer<typeof workOrderState>;
