import { Message } from "../messages/model";
import { tellOfMessage } from "../messages/tellOfMessage";
import type { Deps } from "../scope";
import type { FoundPage } from "./findPage";
import { requireShown } from "./shown";

/** Words a customer writes on their page: they wait for somebody here. The same id comes once. @throws {AppError} `page/not-proven`. */
export async function writeOnPage(
  deps: Pick<Deps, "db">,
  page: FoundPage,
  { messageId: id, text, workOrderId }: { messageId: string; text: string; workOrderId: string | null },
): Promise<void> {
  const { businessId, customerId, requestId } = page;
  const order = workOrderId ?? page.workOrderId;
  if (order !== null) await requireShown(deps.db, page, order);
  await deps.db.transaction(async (transaction) => {
    const [kept, isNew] = await Message.findOrCreate({
      where: { businessId, id },
      defaults: {
        businessId,
        id,
        workOrderId: order,
        customerId,
        requestId: order === null ? requestId : null,
        channel: "page",
        isIncoming: true,
        recipient: "",
        text,
        status: "received",
      },
      transaction,
    });
    if (isNew) await tellOfMessage(deps.db, kept, transaction);
  });
}
