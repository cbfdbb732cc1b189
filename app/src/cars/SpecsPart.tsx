import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { StyleSheet, View } from "react-native";
import { SPEC_FIELDS, showDate, specFault, specLines, type SpecKey } from "@mechanon/core";
import { routes, type VehicleSheet } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { carSheetKey } from "./useCarSheet";

/** What the car needs, from its source, with what a mechanic found instead. */
export function SpecsPart({ sheet }: { sheet: VehicleSheet }) {
  const queries = useQueryClient();
  const zone = useBusiness()?.timeZone ?? "UTC";
  const { vehicle, specs, corrections } = sheet;
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [editing, setEditing] = useState<SpecKey | null>(null);
  const lines = specLines(specs, corrections);
  const missing = SPEC_FIELDS.filter(({ key }) => !lines.some((line) => line.key === key));
  const run = async (change: () => Promise<VehicleSheet>): Promise<void> => {
    setBusy(true);
    setFault(null);
    try {
      queries.setQueryData(carSheetKey(vehicle.id), await change());
      setEditing(null);
    } catch (error) {
      setFault(errorWords(error));
    } finally {
      setBusy(false);
    }
  };
  const params = { id: vehicle.id };
  const isNamed = vehicle.year !== null && vehicle.make !== null && vehicle.model !== null;
  // Asked once by itself; again only when somebody wants it.
  useEffect(() => {
    if (specs === null && isNamed) void run(() => call(routes.refreshSpecs, { params }));
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [vehicle.id]);
  const correct = (key: SpecKey, value: string | null): Promise<void> =>
    run(() => call(routes.correctSpec, { params, body: { key, value } }));
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
            <Correction
              specKey={key}
              value={value}
              busy={busy}
              onSave={(next) => void correct(key, next)}
              onBack={correction ? () => void correct(key, null) : null}
            />
          ) : null}
        </View>
      ))}
      {missing.map(({ key, label }) => (
        <View key={key}>
          <Button kind="quiet" label={`Write down: ${label.toLowerCase()}`} onPress={() => setEditing(key)} />
          {editing === key ? (
            <Correction specKey={key} value="" busy={busy} onSave={(next) => void correct(key, next)} onBack={null} />
          ) : null}
        </View>
      ))}
      <Button
        label={specs ? "Ask the source again" : "Ask the source for specs"}
        busy={busy}
        onPress={() => void run(() => call(routes.refreshSpecs, { params }))}
        testID="ask-specs"
      />
    </>
  );
}

function Correction({
  specKey,
  value,
  busy,
  onSave,
  onBack,
}: {
  specKey: SpecKey;
  value: string;
  busy: boolean;
  onSave: (value: string) => void;
  onBack: (() => void) | null;
}) {
  const [typed, setTyped] = useState(value);
  const field = SPEC_FIELDS.find(({ key }) => key === specKey);
  const fault = typed === value ? null : specFault(specKey, typed);
  return (
    <View style={styles.list}>
      <Field
        label={`${field?.label ?? ""} as found on the car${field?.unit ? `, ${field.unit}` : ""}`}
        value={typed}
        onChangeText={setTyped}
        error={fault}
        inputMode={field?.unit ? "decimal" : "text"}
        maxLength={80}
        autoFocus
        autoComplete="off"
      />
      <Button
        label="Keep it with my name"
        busy={busy}
        disabled={fault !== null || typed.trim() === ""}
        onPress={() => onSave(typed.trim())}
        testID="save-correction"
      />
      {onBack ? <Button kind="quiet" label="Go by the source again" onPress={onBack} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: "row", gap: SPACE.m, alignItems: "center" },
  grow: { flex: 1 },
  value: { flexShrink: 1 },
  list: { gap: SPACE.s, paddingBottom: SPACE.m },
});
