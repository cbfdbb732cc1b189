import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { dayOf, showDate, showDay, showPhone } from "@mechanon/core";
import { routes, type WorkOrderView } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { NeedsSignal } from "../offline/NeedsSignal";
import { useToday } from "../day/useDay";
import { keepAnswered } from "../sync/views";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

/** Links to the receipt that can be opened still, and calling them back. */
export function SentLinks({ view, zone }: { view: WorkOrderView; zone: string }) {
  const today = useToday();
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { receiptLinks: links } = view;
  if (links.length === 0) return null;
  const day = (instant: string): string => showDay(dayOf(instant, zone), today);
  const callBack = async (): Promise<void> => {
    setBusy(true);
    setFault(null);
    try {
      await keepAnswered(() => call(routes.callBackReceipts, { params: { id: view.state.id } }));
    } catch (error) {
      setFault(errorWords(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <View style={styles.list}>
      {links.map(({ sentTo, at, endsAt }) => (
        <Words key={`${sentTo}${at}`} size="small" tone="muted">
          {`Link${sentTo ? ` to ${showPhone(sentTo)}` : ""}, ${day(at)}; opens until ${showDate(endsAt, zone)}`}
        </Words>
      ))}
      {fault ? <Notice text={fault} /> : null}
      <Button
        kind="quiet"
        busy={busy}
        label={links.length === 1 ? "Call the link back" : "Call the links back"}
        onPress={() => void callBack()}
        testID="call-back"
      />
      <NeedsSignal what="Calling back" />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.xs } });
