import { StyleSheet, View } from "react-native";
import { addDays, askedQuote, quoteTotalCents, showDay, showMoney } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useToday } from "../day/useDay";
import { useRight, type Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Fold } from "../ui/Fold";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { useState } from "react";
import { priceOfToday } from "./priceOfToday";
import { taxWords } from "./taxLaw";

const GOOD_FOR_DAYS = [7, 14, 30, 60] as const;
const NO_END = "";

interface QuoteRulesProps {
  view: WorkOrderView;
  business: Business;
}

/** Until when the quote is good, whose taxes it is under, and what it would come to by the rules of today. */
export function QuoteRules({ view, business }: QuoteRulesProps) {
  const { state } = view;
  const today = useToday();
  const mayPrice = useRight("changePrices");
  const [isOpen, setOpen] = useState(false);
  const until = state.validUntil ?? null;
  const isOver = until !== null && until < today;
  const now = priceOfToday(state, business.settings.rules);
  const total = quoteTotalCents(askedQuote(state));
  const line = until === null ? "No end" : `${isOver ? "Ended" : "Good until"} ${showDay(until, today)}`;
  return (
    <View style={styles.list}>
      {now !== null && now !== total ? (
        <View style={styles.list}>
          <Words size="small" strong tone={isOver ? "alarm" : "ink"} figures>
            {`${isOver ? `It was good until ${showDay(until, today)}. ` : ""}By the rules of today it would come to ${showMoney(now)}, ${showMoney(Math.abs(now - total))} ${now > total ? "more" : "less"}.`}
          </Words>
          <Button
            kind="quiet"
            label={`Use the prices of today, ${showMoney(now)}`}
            onPress={() => sendCommand(state.id, { type: "useTodaysRules" })}
          />
        </View>
      ) : isOver ? (
        <Words size="small" strong tone="alarm">
          {`It was good until ${showDay(until, today)}; the prices of today are the same.`}
        </Words>
      ) : null}
      {taxWords(state, business.settings.rules, today).map((words) => (
        <Words key={words} size="small" tone="muted" figures>
          {words}
        </Words>
      ))}
      <Fold title="Good until" line={line} open={isOpen} onToggle={() => setOpen(!isOpen)}>
        {mayPrice ? (
          <Choices
            label="The quote is good for"
            options={[
              ...GOOD_FOR_DAYS.map((days) => ({ value: addDays(today, days), label: `${days} days` })),
              { value: NO_END, label: "No end" },
            ]}
            value={until ?? NO_END}
            onChoose={(day) => sendCommand(state.id, { type: "setValidUntil", day: day === NO_END ? null : day })}
          />
        ) : (
          <Words tone="muted">Whoever may change prices says until when it is good.</Words>
        )}
      </Fold>
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.xs } });
