import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { StyleSheet, View } from "react-native";
import type { DueService, ServiceInterval } from "@mechanon/core";
import type { VehicleSheetView } from "@mechanon/contract";
import { z } from "zod";
import { useBusiness } from "../session/useSession";
import { give } from "../sync/give";
import { useSync } from "../sync/state";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import { IntervalFields } from "../settings/IntervalFields";
import { intervalField } from "../settings/intervalField";
import { Words } from "../ui/Words";
import { DUE_STANDING, INTERVAL_FROM, dueWords } from "./carWords";

/** Services due, the most urgent first; how often can be agreed otherwise with this customer. */
export function DueSection({ sheet }: { sheet: VehicleSheetView }) {
  const zone = useBusiness()?.timeZone ?? "UTC";
  const [editing, setEditing] = useState<string | null>(null);
  const waiting = useSync(({ pending }) => pending);
  const agreed = waiting.flatMap((item) =>
    item.kind === "agreement" && item.target === sheet.owner.id ? [item.interval.id] : [],
  );
  const agree = ({ id, title, miles, months }: ServiceInterval): void => {
    setEditing(null);
    void give([{ kind: "agreement", target: sheet.owner.id, interval: { id, title, miles, months } }]);
  };
  if (sheet.due.length === 0)
    return (
      <Words tone="muted">
        How often services are due comes with the specs, or from your own list in the settings.
      </Words>
    );
  return (
    <View style={styles.list}>
      {sheet.due.map((service) => (
        <View key={service.interval.id}>
          <Words strong tone={service.standing === "overdue" ? "alarm" : "ink"}>
            {`${service.standing === "overdue" ? "✕ " : ""}${DUE_STANDING[service.standing]}: ${service.interval.title}`}
          </Words>
          <Words tone="muted" figures>{`${dueWords(service, zone)} (${INTERVAL_FROM[service.interval.from]})`}</Words>
          {agreed.includes(service.interval.id) ? (
            <Words tone="muted">Agreed otherwise here; what is due follows once it is sent.</Words>
          ) : null}
          {editing === service.interval.id ? (
            <Agreement service={service} ownerName={sheet.owner.name} onSave={agree} />
          ) : (
            <Button
              kind="quiet"
              label={`Agree otherwise: ${service.interval.title.toLowerCase()}`}
              onPress={() => setEditing(service.interval.id)}
              style={styles.left}
            />
          )}
        </View>
      ))}
    </View>
  );
}

const agreement = z
  .object({ miles: intervalField("miles"), months: intervalField("months") })
  .refine(({ miles, months }) => miles !== null || months !== null, {
    path: ["miles"],
    message: "say miles, months, or both",
  });

function Agreement({
  service: { interval },
  ownerName,
  onSave,
}: {
  service: DueService;
  ownerName: string;
  onSave: (interval: ServiceInterval) => void;
}) {
  const { control, handleSubmit } = useForm<z.input<typeof agreement>, unknown, z.output<typeof agreement>>({
    resolver: zodResolver(agreement),
    mode: "onChange",
    defaultValues: {
      miles: interval.miles === null ? "" : String(interval.miles),
      months: interval.months === null ? "" : String(interval.months),
    },
  });
  const agree = handleSubmit((read) => onSave({ id: interval.id, title: interval.title, ...read }));
  return (
    <View style={styles.list}>
      <IntervalFields control={control} miles="miles" months="months" />
      <Button label={`Agree with ${ownerName}`} onPress={() => void agree()} testID="agree-interval" />
      {interval.from === "customer" ? (
        <Button
          kind="quiet"
          label="Go by the usual again"
          onPress={() => onSave({ id: interval.id, title: interval.title, miles: null, months: null })}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  left: { alignSelf: "flex-start" },
});
