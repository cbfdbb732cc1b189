import { useInfiniteQuery } from "@tanstack/react-query";
import { routes, type WorkOrderSummary } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { WorkOrderLine } from "../day/WorkOrderLine";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { Words } from "../ui/Words";

/** Work that is over, newest first, page by page. */
export function PastWork({
  customerId,
  first,
  count,
}: {
  customerId: string;
  first: readonly WorkOrderSummary[];
  count: number;
}) {
  const more = useInfiniteQuery({
    queryKey: ["customerWork", customerId],
    queryFn: ({ pageParam }) =>
      call(routes.customerWork, { params: { id: customerId }, query: { from: String(pageParam) } }),
    initialPageParam: first.length,
    getNextPageParam: (page, all) =>
      page.workOrders.length === 0 ? undefined : first.length + all.flatMap(({ workOrders }) => workOrders).length,
    enabled: false,
  });
  const shown = [...first, ...(more.data?.pages.flatMap(({ workOrders }) => workOrders) ?? [])];
  if (count === 0) return <Words tone="muted">Nothing is finished yet.</Words>;
  return (
    <>
      {shown.map((order) => (
        <WorkOrderLine key={order.id} order={order} showWait ofCustomer />
      ))}
      {more.error ? <Notice text={errorWords(more.error)} /> : null}
      {shown.length < count ? (
        <Button
          busy={more.isFetching}
          label={`Show more of ${count}`}
          onPress={() => void (more.data ? more.fetchNextPage() : more.refetch())}
        />
      ) : null}
    </>
  );
}
