import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { StyleSheet, View } from "react-native";
import { v7 as uuid } from "uuid";
import {
  approvedJobs,
  approvedParts,
  countOf,
  orderCostCents,
  quantityToCome,
  partStatus,
  showMoney,
  showMoment,
  type PartStatus,
  type PartsOrder,
} from "@mechanon/core";
import { routes, type OpenRequest, type WorkOrderView } from "@mechanon/contract";
import { call } from "../api/call";
import { ApiProblem, errorWords } from "../api/problem";
import { useReachable } from "../api/reachable";
import { useToday } from "../day/useDay";
import { useBusiness } from "../session/useSession";
import { PicturesOf } from "../photos/PicturesOf";
import { keepAnswered, loadWorkOrder } from "../sync/views";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { FootAct } from "../sheet/FootAct";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { beingOrdered } from "./beingOrdered";
import { CallSupplier } from "./CallSupplier";
import type { WorkOrderSection, WorkOrderSectionProps } from "./workOrderSection";

/** The parts the agreed jobs need. */
export const partsSection: WorkOrderSection = {
  name: "parts",
  title: "Parts",
  acts: ["orderParts", "receiveParts"],
  line: ({ view }) => {
    const { state } = view;
    const awaited = beingOrdered(view);
    const wanted = approvedParts(state, "needed");
    const ordered = approvedParts(state, "ordered").length;
    const needed = wanted.filter(({ id }) => !awaited.has(id)).length;
    const out = wanted.length - needed;
    if (wanted.length + ordered > 0)
      return [
        needed > 0 ? `${needed} to order` : "",
        out > 0 ? `${out} being ordered` : "",
        ordered > 0 ? `${ordered} on order` : "",
      ]
        .filter(Boolean)
        .join(", ");
    if (state.received.length === 0) return "None";
    return approvedJobs(state).every(({ finishedAt }) => finishedAt !== null) ? "All fitted" : "All in hand";
  },
  Body: PartsSection,
};

const STATUS_WORDS: Record<PartStatus, string> = {
  needed: "Needed",
  ordered: "On order",
  inHand: "In hand",
  fitted: "Fitted",
};

/** The parts of the agreed jobs: where each is, ordering them, taking them in. */
export function PartsSection({ view, isUnsent }: WorkOrderSectionProps) {
  const { state } = view;
  const today = useToday();
  const zone = useBusiness()?.timeZone ?? "utc";
  const needed = approvedParts(state, "needed");
  const ordered = approvedParts(state, "ordered");
  const out = view.requests.filter(({ kind }) => kind === "partsOrder");
  const awaited = beingOrdered(view);
  const toOrder = needed.filter(({ id }) => !awaited.has(id));
  const rows = approvedJobs(state).flatMap((job) =>
    job.lines.flatMap((line) =>
      line.kind === "part" ? [{ line, status: partStatus(state, job, line), order: lastOrder(state, line.id) }] : [],
    ),
  );
  if (rows.length === 0)
    return <Words tone="muted">No agreed job needs a part. Parts show up here once the customer said yes.</Words>;
  return (
    <View style={styles.list}>
      {rows.map(({ line, status, order }) => (
        <View key={line.id} style={styles.row}>
          <View style={styles.grow}>
            <Words>{`${line.quantity} × ${line.description}`}</Words>
            <Words size="small" tone="muted">
              {[line.brand, line.partNumber].filter(Boolean).join(" ")}
            </Words>
          </View>
          <View style={styles.grow}>
            <Words strong align="right">
              {status === "needed" && awaited.has(line.id) ? "Being ordered" : STATUS_WORDS[status]}
            </Words>
            {order ? (
              <Words size="small" tone="muted" align="right" figures>
                {[
                  `${order.supplier}, ${order.orderNumber}`,
                  status === "ordered" && order.readyAt ? `ready ${showMoment(order.readyAt, zone, today)}` : "",
                ]
                  .filter(Boolean)
                  .join(", ")}
              </Words>
            ) : null}
          </View>
          {status === "inHand" || status === "fitted" ? (
            <View style={styles.whole}>
              <PicturesOf of="line" id={line.id} title={line.description} label="Photo" view={view} />
            </View>
          ) : null}
        </View>
      ))}
      {out.map((request) => (
        <OpenOrder key={request.id} request={request} view={view} />
      ))}
      {toOrder.length > 0 ? <Order view={view} isUnsent={isUnsent} lineIds={toOrder.map(({ id }) => id)} /> : null}
      {ordered.length > 0 ? (
        <FootAct
          label={`Take in ${countOf(ordered.length, "part")}`}
          onPress={() =>
            sendCommand(state.id, {
              type: "receiveParts",
              items: ordered.map((line) => ({ lineId: line.id, quantity: quantityToCome(state, line) })),
            })
          }
          testID="take-in"
        />
      ) : null}
    </View>
  );
}

/** An order of which it is not known what became, or that never reached the supplier. */
function OpenOrder({ request, view }: { request: OpenRequest; view: WorkOrderView }) {
  const today = useToday();
  const zone = useBusiness()?.timeZone ?? "utc";
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { id: orderId, status, at, lineIds } = request;
  const what = `The order of ${countOf(lineIds.length, "part")}, ${showMoment(at, zone, today)},`;
  if (status === "lapsed")
    return <Notice kind="note" text={`${what} never reached the supplier. Nothing was ordered by it.`} />;
  const ask = async (): Promise<void> => {
    setBusy(true);
    try {
      await keepAnswered(() =>
        call(routes.orderParts, {
          params: { id: view.state.id },
          body: { orderId, lineIds, acceptChangedCost: true },
        }),
      );
    } catch (problem) {
      setFault(errorWords(problem));
    } finally {
      setBusy(false);
    }
  };
  return (
    <View style={styles.list}>
      <Notice
        text={
          fault ??
          `${what} is not confirmed yet. The supplier is asked by itself until it says; you can ask now, and it will not be ordered twice.`
        }
      />
      <Button busy={busy} label="Ask the supplier now" onPress={() => void ask()} testID="ask-supplier" />
    </View>
  );
}

/** The newest order of a line. */
function lastOrder({ orders }: WorkOrderView["state"], lineId: string): PartsOrder | undefined {
  return orders.findLast(({ items }) => items.some((item) => item.lineId === lineId));
}

function Order({ view, isUnsent, lineIds }: { view: WorkOrderView; isUnsent: boolean; lineIds: string[] }) {
  const isReachable = useReachable((state) => state.isReachable);
  const { state } = view;
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  // Kept until an answer is final, so that ordering again after a lost answer orders nothing twice.
  const orderId = useRef(uuid());
  const { data, error, refetch } = useQuery({
    queryKey: ["offers", state.id, view.revision],
    queryFn: () => call(routes.askSupplier, { params: { id: state.id }, query: {} }),
    enabled: !isUnsent,
  });
  const offers = data?.offers.filter(({ lineId }) => lineIds.includes(lineId)) ?? [];
  const available = offers.filter((offer) => offer.available >= offer.quantity);
  const short = offers.filter((offer) => offer.available < offer.quantity);
  const cost = orderCostCents(available);
  const order = async (): Promise<void> => {
    setBusy(true);
    setFault(null);
    try {
      const changed = available.some(({ costChanged }) => costChanged);
      const body = {
        orderId: orderId.current,
        lineIds: available.map(({ lineId }) => lineId),
        acceptChangedCost: changed,
      };
      await keepAnswered(() => call(routes.orderParts, { params: { id: state.id }, body }));
      orderId.current = uuid();
    } catch (problem) {
      setFault(errorWords(problem));
      if (problem instanceof ApiProblem && problem.problem.status < 500) {
        orderId.current = uuid();
        void refetch();
      }
      // What is out with the supplier now shows above.
      await loadWorkOrder(state.id).catch(() => undefined);
    } finally {
      setBusy(false);
    }
  };
  if (!isReachable && !data)
    return (
      <View>
        <Notice
          kind="note"
          text="Asking the supplier needs a signal. The parts stay needed; go on with what does not wait for them."
          action={{ label: "Ask the supplier", onPress: () => void refetch() }}
        />
        <CallSupplier />
      </View>
    );
  if (error)
    return (
      <View>
        <Notice text={errorWords(error)} action={{ label: "Ask the supplier again", onPress: () => void refetch() }} />
        <CallSupplier />
      </View>
    );
  if (!data) return <WaitingRows label="Asking the supplier" rows={2} />;
  return (
    <View style={styles.list}>
      <Words strong>{data.supplier}</Words>
      {available.map((offer) => (
        <Words key={offer.lineId} figures tone={offer.costChanged ? "alarm" : "muted"}>
          {[
            `${offer.quantity} × ${offer.description}`,
            offer.costCents === null ? "" : `${showMoney(offer.costCents)} each`,
            offer.costChanged && offer.quotedCostCents !== null ? `was ${showMoney(offer.quotedCostCents)}` : "",
          ]
            .filter(Boolean)
            .join(", ")}
        </Words>
      ))}
      {short.map((offer) => (
        <Notice
          key={offer.lineId}
          text={`${data.supplier} has ${offer.available} of ${offer.quantity} ${offer.description.toLowerCase()}. Leave it for later or buy it elsewhere; the others can be ordered.`}
        />
      ))}
      {fault ? <Notice text={fault} /> : null}
      {available.length > 0 ? (
        <FootAct
          busy={busy}
          label={`Order ${countOf(available.length, "part")}${cost === null ? "" : `, ${showMoney(cost)}`}`}
          onPress={() => void order()}
          testID="order-parts"
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  whole: { width: "100%" },
  list: { gap: SPACE.m },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.m },
  grow: { flex: 1 },
});
