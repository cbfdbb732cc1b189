import { useRef, useState } from "react";
import { StyleSheet, View } from "react-native";
import { countOf, showMoney, type StockItem } from "@mechanon/core";
import { routes, type WorkOrderView } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { useQueryClient } from "@tanstack/react-query";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useReachable } from "../api/reachable";
import { NeedsSignal } from "../offline/NeedsSignal";
import { useMe, useRight, type Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { keepAnswered } from "../sync/views";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { askableParts, vanPartsFor } from "./vanParts";

interface PartsFromProps {
  view: WorkOrderView;
  business: Business;
  /** Something was done that the server has not heard of yet. */
  isUnsent: boolean;
}

/** Where the parts of the quote come from, all at once: what is on the van, and what a supplier asks today. */
export function PartsFrom({ view, business, isUnsent }: PartsFromProps) {
  const { state } = view;
  const { stock } = business.settings;
  const { me } = useMe();
  const onVan = vanPartsFor(state.jobs, stock, me?.id ?? null);
  const askable = askableParts(state.jobs).filter(({ id }) => !onVan.some(({ line }) => line.id === id));
  return (
    <View style={styles.list}>
      {onVan.length > 0 ? (
        <Button
          label={`Take ${countOf(onVan.length, "part")} from the van`}
          onPress={() =>
            sendCommand(state.id, {
              type: "takeFromVan",
              parts: onVan.map(({ line, item }) => ({ lineId: line.id, itemId: item.id })),
            })
          }
        />
      ) : null}
      {business.suppliers.map((supplier) =>
        askable.length > 0 ? (
          <AskOffers
            key={supplier.id}
            supplier={supplier}
            lineIds={askable.map(({ id }) => id)}
            workOrderId={state.id}
            isUnsent={isUnsent}
          />
        ) : null,
      )}
      <OtherCosts view={view} business={business} />
    </View>
  );
}

interface AskOffersProps {
  supplier: { id: string; name: string };
  lineIds: string[];
  workOrderId: string;
  isUnsent: boolean;
}

function AskOffers({ supplier, lineIds, workOrderId, isUnsent }: AskOffersProps) {
  const isReachable = useReachable((state) => state.isReachable);
  const askId = useRef(uuid());
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<{ kind: "fault" | "note"; text: string } | null>(null);
  const ask = async (): Promise<void> => {
    setBusy(true);
    setSaid(null);
    try {
      // The same asking as long as its answer is not known.
      const body = { askId: askId.current, lineIds, supplierId: supplier.id };
      const { without } = await keepAnswered(() => call(routes.takeOffers, { params: { id: workOrderId }, body }));
      askId.current = uuid();
      setSaid(
        without.length === 0
          ? null
          : {
              kind: "note",
              text: `${supplier.name} has nothing for ${countOf(without.length, "part")}; they stay as they are.`,
            },
      );
    } catch (error) {
      setSaid({ kind: "fault", text: errorWords(error) });
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <Button
        label={`Ask ${supplier.name} for ${countOf(lineIds.length, "part")}`}
        busy={busy}
        disabled={isUnsent || !isReachable}
        onPress={() => void ask()}
      />
      <NeedsSignal what={`Asking ${supplier.name}`} />
      {said ? <Notice kind={said.kind} text={said.text} /> : null}
    </>
  );
}

/** Parts kept on a van whose supplier asks something else by now: is ours to be what they ask? */
function OtherCosts({ view, business }: { view: WorkOrderView; business: Business }) {
  const queries = useQueryClient();
  const mayChange = useRight("settings");
  const seesCost = useRight("seeCost");
  const [fault, setFault] = useState<string | null>(null);
  if (!mayChange || !seesCost) return null;
  const { stock, versions } = business.settings;
  const differing = view.state.jobs
    .flatMap(({ lines }) => lines)
    .flatMap((line) => {
      if (line.kind !== "part" || line.from?.of !== "offer" || line.costCents === null) return [];
      const { costCents } = line;
      const item = stock.find(({ partNumber }) => partNumber !== null && partNumber === line.partNumber);
      return item && item.costCents !== null && item.costCents !== costCents ? [{ item, costCents }] : [];
    });
  const once = differing.filter(
    ({ item }, index) => differing.findIndex((other) => other.item.id === item.id) === index,
  );
  const update = async (item: StockItem, costCents: number): Promise<void> => {
    setFault(null);
    try {
      const change = { from: item, to: { ...item, costCents } };
      await call(routes.changeStock, { body: { version: versions.stock, stock: [change] } });
      await queries.invalidateQueries({ queryKey: ["business"] });
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  return (
    <>
      {once.map(({ item, costCents }) => (
        <Notice
          key={item.id}
          kind="note"
          text={`${item.title}: the supplier asks ${showMoney(costCents)}, ours is kept at ${showMoney(item.costCents ?? 0)}.`}
          action={{ label: `Keep ours at ${showMoney(costCents)}`, onPress: () => void update(item, costCents) }}
        />
      ))}
      {fault ? <Notice text={fault} /> : null}
    </>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
