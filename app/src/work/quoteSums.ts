import { CUSTOMER_PAYER, priceWorkOrder, type WorkOrderState } from "@mechanon/core";

/** How a quote's total comes about, line by line; jobs put off or declined left out, like in the total. */
export function quoteSums(state: WorkOrderState): { label: string; cents: number }[] {
  const jobs = state.jobs.filter((job) => job.answer?.value !== "later" && job.answer?.value !== "no");
  const payer = priceWorkOrder({ ...state, jobs }, "all").payers.find(({ id }) => id === CUSTOMER_PAYER);
  if (!payer) return [];
  return [
    { label: "Labor", cents: payer.labor },
    { label: "Parts", cents: payer.part },
    { label: "Fees", cents: payer.fee },
    { label: "Core deposits", cents: payer.core },
    { label: "Shop supplies", cents: payer.supplies },
    ...Object.entries(payer.taxes).map(([id, cents]) => ({ label: `Tax, ${id}`, cents })),
  ].filter(({ cents }) => cents > 0);
}
