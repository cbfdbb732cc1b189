import type { InspectionContext } from "../inspection/commands";
import type { PaymentContext } from "../payments/commands";
import type { QuotingContext } from "../quoting/quoteChanges";
import type { StockContext } from "../quoting/addStockPart";
import type { VisitFeeContext } from "../quoting/visitFee";

/** What a command of a work order is applied with: what each area needs, put together. */
export interface WorkOrderContext
  extends InspectionContext, QuotingContext, PaymentContext, VisitFeeContext, StockContext {
  settings: InspectionContext["settings"] & VisitFeeContext["settings"] & StockContext["settings"];
  /** The customer named by the command pays no tax. */
  taxExempt: boolean;
}
