import { useInfiniteQuery } from "@tanstack/react-query";
import type { WorkOrderSummary } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { Words } from "../ui/Words";
import { WorkOrderLine } from "./WorkOrderLine";

export interface PastWorkProps {
  /** Of which customer or car. */
  id: string;
  first: readonly WorkOrderSummary[];
  count: number;
  /** The page after so many. */
  load: (from: number) => Promise<{ workOrders: WorkOrderSummary[] }>;
  /** Under a customer's name, which is not said again. */
  ofCustomer?: boolean;
}

/** Work that is over, newest first, page by page. */
export function PastWork({ id, first, count, load, ofCustomer = false }: PastWorkProps) {
  const more = useInfiniteQuery({
    queryKey: ["pastWork", id],
    queryFn: ({ pageParam }) => load(pageParam),
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
        <WorkOrderLine key={order.id} order={order} showWait ofCustomer={ofCustomer} />
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
