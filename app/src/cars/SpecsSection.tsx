import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { StyleSheet, View } from "react-native";
import { SPEC_FIELDS, showDate, specLines, type SpecKey } from "@mechanon/core";
import type { VehicleSheetView } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { give } from "../sync/give";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { SpecAnswer } from "./SpecAnswer";
import { askSpecs } from "./askSpecs";

/** What the car needs, from its source, with what a mechanic found instead. */
export function SpecsSection({ sheet }: { sheet: VehicleSheetView }) {
  const queries = useQueryClient();
  const zone = useBusiness()?.timeZone ?? "UTC";
  const { vehicle, specs, corrections } = sheet;
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [editing, setEditing] = useState<SpecKey | null>(null);
  const lines = specLines(specs, corrections);
  const missing = SPEC_FIELDS.filter(({ key }) => !lines.some((line) => line.key === key));
  const ask = async (): Promise<void> => {
    setBusy(true);
    setFault(null);
    try {
      await askSpecs(queries, vehicle.id);
    } catch (error) {
      setFault(errorWords(error));
    } finally {
      setBusy(false);
    }
  };
  const isNamed = vehicle.year !== null && vehicle.make !== null && vehicle.model !== null;
  // Asked once by itself; again only when somebody wants it.
  useEffect(() => {
    if (specs === null && isNamed) void ask();
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [vehicle.id]);
  const correct = (key: SpecKey, value: string | null): void => {
    setEditing(null);
    void give([{ kind: "specCorrection", target: vehicle.id, key, value }]);
  };
  return (
    <>
      {specs?.simulated ? (
        <Notice kind="note" text={`Simulated by ${specs.source}: made up, good for trying things out only.`} />
      ) : null}
      {fault ? <Notice text={fault} /> : null}
      {lines.map(({ key, label, unit, value, correction, sourceValue }) => (
        <View key={key}>
          <Press label={`${label}: ${value}${unit ? ` ${unit}` : ""}, correct it`} onPress={() => setEditing(key)}>
            <View style={styles.row}>
              <Words style={styles.grow}>{label}</Words>
              <Words strong figures align="right" style={styles.value}>{`${value}${unit ? ` ${unit}` : ""}`}</Words>
            </View>
            {correction ? (
              <Words size="small" tone="muted">
                {`Found by ${correction.by}, ${showDate(correction.at, zone)}${sourceValue === null ? "" : `; the source says ${sourceValue}`}`}
              </Words>
            ) : null}
          </Press>
          {editing === key ? (
            <SpecAnswer
              specKey={key}
              value={value}
              onSave={(next) => correct(key, next)}
              onBack={correction ? () => correct(key, null) : null}
            />
          ) : null}
        </View>
      ))}
      {missing.map(({ key, label }) => (
        <View key={key}>
          <Button kind="quiet" label={`Write down: ${label.toLowerCase()}`} onPress={() => setEditing(key)} />
          {editing === key ? (
            <SpecAnswer specKey={key} value="" onSave={(next) => correct(key, next)} onBack={null} />
          ) : null}
        </View>
      ))}
      <Button
        label={specs ? "Ask the source again" : "Ask the source for specs"}
        busy={busy}
        onPress={() => void ask()}
        testID="ask-specs"
      />
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", gap: SPACE.m, alignItems: "center" },
  grow: { flex: 1 },
  value: { flexShrink: 1 },
  list: { gap: SPACE.s, paddingBottom: SPACE.m },
});
