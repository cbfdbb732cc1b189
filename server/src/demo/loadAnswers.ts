import { SUPPLIER } from "@mechanon/demo";
import { approvedParts, balanceOf, jobTotals, priceWorkOrder } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import type { LoadingOrder } from "./loadingOrder";

/** The customer's word on the quote, and all that came of it: parts, work, money. */
export async function loadAnswers(loading: LoadingOrder): Promise<void> {
  const { order, onSiteAt, send } = loading;
  const agreedIds = await answer(loading);
  if (order.parts) await buyParts(loading);
  if (order.finished) await send({ type: "finishJobs", jobIds: agreedIds }, onSiteAt);
  if (order.paid) await pay(loading);
}

/** @returns The jobs agreed to. */
async function answer({ order, customerName: name, onSiteAt, state, send }: LoadingOrder): Promise<string[]> {
  const quote = await state();
  const totals = jobTotals(quote);
  const answers = quote.jobs.flatMap(({ id: jobId, title, libraryJobId }) => {
    const given = order.answers?.[libraryJobId ?? ""];
    return given ? [{ jobId, title, answer: given, totalCents: totals.get(jobId) ?? 0 }] : [];
  });
  const totalCents = priceWorkOrder(quote, "all").total;
  await send(
    { type: "recordAnswers", approvalId: uuid(), way: "spoken", name, signature: [], answers, totalCents },
    onSiteAt,
  );
  return answers.filter((given) => given.answer === "yes").map(({ jobId }) => jobId);
}

async function buyParts({ order, onSiteAt, state, send }: LoadingOrder): Promise<void> {
  const parts = approvedParts(await state(), "needed");
  if (parts.length === 0) return;
  await send(
    {
      type: "recordPartsOrder",
      orderId: uuid(),
      supplierId: SUPPLIER.id,
      supplier: SUPPLIER.name,
      orderNumber: `GH-${70_000 + order.openedDaysAgo * 131 + parts.length}`,
      readyAt: null,
      items: parts.map(({ id: lineId, partNumber, quantity, costCents }) => ({
        lineId,
        partNumber: partNumber ?? "",
        quantity,
        costCents: costCents ?? 0,
      })),
    },
    onSiteAt,
  );
  if (order.parts === "received")
    await send({ type: "receiveParts", items: parts.map(({ id: lineId }) => ({ lineId, quantity: null })) }, onSiteAt);
}

/** What is handed over in cash comes in twenties. */
const NOTE_CENTS = 2000;

async function pay({ order, onSiteAt, state, send }: LoadingOrder): Promise<void> {
  const { dueCents: amountCents } = balanceOf(await state());
  const paid = { paymentId: uuid(), amountCents };
  if (order.paid === "cash") {
    const tenderedCents = Math.ceil(amountCents / NOTE_CENTS) * NOTE_CENTS;
    await send({ type: "takeCash", ...paid, tenderedCents }, onSiteAt);
  } else await send({ type: "recordCardPayment", ...paid, lastFour: "4407", authorization: "A551208" }, onSiteAt);
}
