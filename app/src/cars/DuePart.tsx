import { useState } from "react";
import { StyleSheet, View } from "react-native";
import type { DueService, ServiceInterval } from "@mechanon/core";
import { fieldsOf, routes, type VehicleSheet } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { IntervalFields } from "../settings/IntervalFields";
import { intervalFault } from "../settings/intervalFault";
import { wholeNumber } from "../settings/wholeNumber";
import { Words } from "../ui/Words";
import { DUE_STANDING, INTERVAL_FROM, dueWords } from "./carWords";

/** Services due, the most urgent first; how often can be agreed otherwise with this customer. */
export function DuePart({ sheet, reload }: { sheet: VehicleSheet; reload: () => void }) {
  const zone = useBusiness()?.timeZone ?? "UTC";
  const [editing, setEditing] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const agree = async (interval: ServiceInterval): Promise<void> => {
    try {
      const { customer } = await call(routes.getCustomer, { params: { id: sheet.owner.id } });
      const fields = fieldsOf(customer);
      const others = (fields.serviceIntervals ?? []).filter(({ id }) => id !== interval.id);
      const isBack = interval.miles === null && interval.months === null;
      await call(routes.changeCustomer, {
        params: { id: customer.id },
        body: { ...fields, serviceIntervals: isBack ? others : [...others, interval], version: customer.version },
      });
      setEditing(null);
      setFault(null);
      reload();
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  if (sheet.due.length === 0)
    return (
      <Words tone="muted">
        How often services are due comes with the specs, or from your own list in the settings.
      </Words>
    );
  return (
    <View style={styles.list}>
      {fault ? <Notice text={fault} /> : null}
      {sheet.due.map((service) => (
        <View key={service.interval.id}>
          <Words strong tone={service.standing === "overdue" ? "alarm" : "ink"}>
            {`${service.standing === "overdue" ? "✕ " : ""}${DUE_STANDING[service.standing]}: ${service.interval.title}`}
          </Words>
          <Words tone="muted" figures>{`${dueWords(service, zone)} (${INTERVAL_FROM[service.interval.from]})`}</Words>
          {editing === service.interval.id ? (
            <Agreement service={service} ownerName={sheet.owner.name} onSave={(interval) => void agree(interval)} />
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

function Agreement({
  service: { interval },
  ownerName,
  onSave,
}: {
  service: DueService;
  ownerName: string;
  onSave: (interval: ServiceInterval) => void;
}) {
  const [typed, setTyped] = useState({
    miles: interval.miles === null ? "" : String(interval.miles),
    months: interval.months === null ? "" : String(interval.months),
  });
  const [miles, months] = [wholeNumber(typed.miles), wholeNumber(typed.months)];
  const isEmpty = miles === null && months === null;
  const isSound = intervalFault("miles", typed.miles) === null && intervalFault("months", typed.months) === null;
  return (
    <View style={styles.list}>
      <IntervalFields {...typed} onChange={(part) => setTyped({ ...typed, ...part })} />
      <Button
        label={`Agree with ${ownerName}`}
        disabled={!isSound || isEmpty}
        onPress={() => onSave({ id: interval.id, title: interval.title, miles, months })}
        testID="agree-interval"
      />
      {isEmpty || !isSound ? (
        <Words size="small" tone="muted">
          {isEmpty ? "Say miles, months, or both." : "A figure above does not fit yet."}
        </Words>
      ) : null}
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
  left: { alignSelf: "flex-start", paddingHorizontal: 0 },
});
