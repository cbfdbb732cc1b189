import { useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { showMoney } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useCarSheet } from "../cars/useCarSheet";
import { useFitter } from "../jobLibrary/useFitter";
import { useDraft } from "../newWork/draft";
import type { Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Fold } from "../ui/Fold";
import { SPACE } from "../ui/theme";
import { copyQuote } from "./copyQuote";

interface OtherQuotesProps {
  view: WorkOrderView;
  business: Business;
}

/** Other quotes of the car, compared with this one; this one copied beside it, or to another car. */
export function OtherQuotes({ view, business }: OtherQuotesProps) {
  const router = useRouter();
  const [isOpen, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  const fitter = useFitter(view, business);
  const { change } = useDraft();
  const { state, vehicle } = view;
  const { sheet } = useCarSheet(vehicle?.id ?? "");
  const others = vehicle
    ? (sheet?.openWork ?? []).filter(({ id, totalCents }) => id !== state.id && totalCents > 0)
    : [];
  const copyHere = async (): Promise<void> => {
    setBusy(true);
    const id = await copyQuote(view, business, fitter);
    router.navigate(`/work/${id}`);
  };
  return (
    <Fold
      title="Other quotes"
      line={others.length === 0 ? "Copy this one" : `${others.length} of this car`}
      open={isOpen}
      onToggle={() => setOpen(!isOpen)}
    >
      <View style={styles.list}>
        {others.map(({ id, number, totalCents }) => (
          <Button
            key={id}
            label={`Compare with ${number}, ${showMoney(totalCents)}`}
            onPress={() => router.navigate(`/work/${state.id}/compare/${id}`)}
          />
        ))}
        <Button label="Copy as another quote of this car" busy={busy} onPress={() => void copyHere()} />
        <Button
          kind="quiet"
          label="Copy to another car"
          onPress={() => {
            change({ copiesFrom: { workOrderId: state.id, number: view.number } });
            router.navigate("/new");
          }}
        />
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
