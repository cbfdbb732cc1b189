import { useRouter } from "expo-router";
import { Linking, StyleSheet, View } from "react-native";
import { addDays, countOf, dayOf, showDay, showMoney, showPhone } from "@mechanon/core";
import { routes, type QuoteToCall } from "@mechanon/contract";
import { call } from "../api/call";
import { useAnswer } from "../offline/useAnswer";
import { useBusiness } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { useSync } from "../sync/state";
import { Button } from "../ui/Button";
import { Fold } from "../ui/Fold";
import { Phone } from "../ui/icons";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { useState } from "react";
import { useToday } from "./useDay";

/** Whoever did not pick up is called again so many days later, whoever thinks it over a little later. */
const AGAIN_DAYS = { noAnswer: 1, thinks: 3 } as const;

/** Whom to call about quotes nobody answered though they were reminded: the number, and what came of the call. */
export function CallList() {
  const [isOpen, setOpen] = useState(false);
  const { data } = useAnswer({
    key: ["callList"],
    schema: routes.callList.answer,
    load: () => call(routes.callList, {}),
  });
  // A call that was noted here is on its way.
  const pending = useSync((state) => state.pending);
  const noted = new Set(
    pending.flatMap((item) => (item.kind === "workOrder" && item.command.type === "noteCall" ? [item.target] : [])),
  );
  const quotes = (data?.quotes ?? []).filter(({ workOrderId }) => !noted.has(workOrderId));
  if (quotes.length === 0) return null;
  return (
    <Fold
      title="To call"
      line={countOf(quotes.length, "answer to ask for", "answers to ask for")}
      open={isOpen}
      onToggle={() => setOpen(!isOpen)}
    >
      {quotes.map((quote) => (
        <Quote key={`${quote.workOrderId} ${quote.putOff ?? ""}`} quote={quote} />
      ))}
    </Fold>
  );
}

function Quote({ quote }: { quote: QuoteToCall }) {
  const router = useRouter();
  const today = useToday();
  const zone = useBusiness()?.timeZone ?? "UTC";
  const { workOrderId, number, customerName, vehicleName, phone, totalCents, sentAt, putOff } = quote;
  const note = (outcome: keyof typeof AGAIN_DAYS): void =>
    sendCommand(workOrderId, { type: "noteCall", outcome, againOn: addDays(today, AGAIN_DAYS[outcome]) });
  return (
    <View style={styles.quote} role="group" aria-label={customerName}>
      <Words strong>{customerName}</Words>
      <Words figures>
        {putOff === null
          ? `${number}, ${[vehicleName, showMoney(totalCents)].filter(Boolean).join(", ")}, sent ${showDay(dayOf(sentAt, zone), today)}`
          : `${putOff}, ${showMoney(totalCents)}, put off ${showDay(dayOf(sentAt, zone), today)}: ask again`}
      </Words>
      <View style={styles.acts}>
        {phone ? (
          <Button
            icon={Phone}
            label={`Call ${showPhone(phone)}`}
            onPress={() => void Linking.openURL(`tel:${phone}`)}
          />
        ) : (
          <Words tone="muted">No phone is kept of them.</Words>
        )}
        <Button
          kind="quiet"
          label="No answer"
          spoken={`No answer from ${customerName}`}
          onPress={() => note("noAnswer")}
        />
        <Button
          kind="quiet"
          label="Thinks it over"
          spoken={`Thinks it over: ${customerName}`}
          onPress={() => note("thinks")}
        />
        <Button
          kind="quiet"
          label="Open the quote"
          spoken={`Open the quote of ${customerName}`}
          onPress={() => router.navigate(`/work/${workOrderId}`)}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  quote: { gap: SPACE.xs },
  acts: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.m, alignItems: "center" },
});
