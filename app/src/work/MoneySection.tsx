import { useRouter } from "expo-router";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { Banknote, CreditCard } from "../ui/icons";
import { v7 as uuid } from "uuid";
import { balanceOf, readMoney, showMoment, showMoney } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useReachable } from "../api/reachable";
import { useToday } from "../day/useDay";
import { keepAnswered, loadWorkOrder } from "../sync/views";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { FootAct } from "../sheet/FootAct";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Notice } from "../ui/Notice";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { cashChoices } from "./cashChoices";
import type { WorkOrderSection, WorkOrderSectionProps } from "./workOrderSection";

/** What is due, and what was paid. */
export const moneySection: WorkOrderSection = {
  name: "money",
  title: "Money",
  acts: ["takePayment", "sendReceipt"],
  line: ({ view: { state } }) => {
    const { totalCents, dueCents, paidCents } = balanceOf(state);
    if (totalCents === 0) return "Nothing agreed yet";
    return dueCents === 0 ? `Paid ${showMoney(paidCents)}` : `${showMoney(dueCents)} due`;
  },
  Body: MoneySection,
};

/** What is owed, what was paid, and taking money: card through the terminal, or cash with change. */
export function MoneySection({ view, business, isUnsent }: WorkOrderSectionProps) {
  const router = useRouter();
  const isReachable = useReachable((state) => state.isReachable);
  const today = useToday();
  const { state } = view;
  const balance = balanceOf(state);
  const [way, setWay] = useState<"card" | "cash" | null>(null);
  // Held here, since asking and answering come and go below it.
  const { charge, fault, busy } = useCharge(state.id);
  // While the terminal is being asked, the charge in flight is not an open question yet.
  const charges = view.requests.filter(({ kind }) => kind === "cardCharge");
  const pending = busy ? [] : charges.filter(({ status }) => status === "asked");
  const lapsed = charges.filter(({ status }) => status === "lapsed");
  return (
    <View style={styles.list}>
      <Row left="Agreed, with taxes" right={showMoney(balance.totalCents)} />
      {state.payments.map((payment) => {
        const when = showMoment(payment.at, business.timeZone, today);
        const card = payment.card ? ` ending ${payment.card.lastFour}` : "";
        const label =
          payment.status === "declined"
            ? `Card declined, ${when}`
            : `${payment.method === "card" ? `Card${card}` : "Cash"}, ${when}`;
        return (
          <Row
            key={`${payment.id}${payment.status}`}
            tone="muted"
            left={label}
            right={payment.status === "declined" ? "–" : showMoney(-payment.amountCents)}
          />
        );
      })}
      <Row
        strong
        rule
        left={balance.dueCents === 0 && balance.paidCents > 0 ? "Paid in full" : "Due"}
        right={showMoney(balance.dueCents)}
      />
      {fault ? <Notice text={fault} /> : null}
      {lapsed.map(({ id, amountCents, at }) => (
        <Notice
          key={id}
          kind="note"
          text={`The charge of ${showMoney(amountCents ?? 0)}, ${showMoment(at, business.timeZone, today)}, never reached the terminal. The card was not charged.`}
        />
      ))}
      {pending.map(({ id, amountCents }) => (
        <View key={id} style={styles.list}>
          {fault ? null : (
            <Notice
              text={`It is not known whether the card was charged ${showMoney(amountCents ?? 0)}. The terminal is asked by itself until it says; you can ask now, and it will not charge twice.`}
            />
          )}
          <FootAct
            label="Ask the terminal again"
            onPress={() => void charge(id, amountCents ?? 0)}
            testID="ask-terminal"
          />
        </View>
      ))}
      {balance.dueCents > 0 ? (
        <>
          {pending.length === 0 ? (
            <View style={styles.ways}>
              <Button
                icon={CreditCard}
                label={isReachable ? "Card" : "Card, needs signal"}
                onPress={() => setWay("card")}
                style={styles.way}
              />
              <Button icon={Banknote} label="Cash" onPress={() => setWay("cash")} style={styles.way} />
            </View>
          ) : (
            // What is in the hand is taken; that the card may have been charged too is marked.
            <Button icon={Banknote} label="Take cash all the same" onPress={() => setWay("cash")} />
          )}
          {way === "card" && !isReachable ? (
            <Notice
              kind="note"
              text="The card needs a signal. Cash works here; or leave it open and take the card later."
            />
          ) : null}
          {way === "card" && pending.length === 0 ? (
            <Card charge={charge} busy={busy} dueCents={balance.dueCents} isUnsent={isUnsent} />
          ) : null}
          {way === "cash" ? <Cash workOrderId={state.id} dueCents={balance.dueCents} /> : null}
        </>
      ) : null}
      {balance.paidCents > 0 ? (
        <Button label="Show receipt" onPress={() => router.navigate(`/work/${state.id}/receipt`)} />
      ) : null}
    </View>
  );
}

/** Takes a card; an unknown outcome leaves a pending charge on the work order, which is asked about with its own id. */
function useCharge(workOrderId: string): {
  charge: (paymentId: string, amountCents: number) => Promise<void>;
  fault: string | null;
  busy: boolean;
} {
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const charge = async (paymentId: string, amountCents: number): Promise<void> => {
    setBusy(true);
    setFault(null);
    try {
      const { result, reason } = await keepAnswered(() =>
        call(routes.takeCard, { params: { id: workOrderId }, body: { paymentId, amountCents } }),
      );
      if (result === "declined")
        setFault(`Card declined: ${reason ?? "no reason given"} Nothing was charged. Try another card, or take cash.`);
    } catch (problem) {
      setFault(errorWords(problem));
      await loadWorkOrder(workOrderId).catch(() => undefined);
    } finally {
      setBusy(false);
    }
  };
  return { charge, fault, busy };
}

interface CardProps {
  charge: ReturnType<typeof useCharge>["charge"];
  busy: boolean;
  dueCents: number;
  isUnsent: boolean;
}

function Card({ charge, busy, dueCents, isUnsent }: CardProps) {
  return (
    <View style={styles.list}>
      {isUnsent ? <Words tone="muted">Sending what was done before; then the card can be taken.</Words> : null}
      <FootAct
        busy={busy}
        disabled={isUnsent}
        label={`Take ${showMoney(dueCents)} by card`}
        onPress={() => void charge(uuid(), dueCents)}
        testID="take-card"
      />
      {busy ? (
        <Words tone="muted" role="status">
          The terminal has the amount. Let the customer tap or insert the card.
        </Words>
      ) : null}
    </View>
  );
}

function Cash({ workOrderId, dueCents }: { workOrderId: string; dueCents: number }) {
  const choices = cashChoices(dueCents);
  const [tendered, setTendered] = useState(dueCents);
  const [typed, setTyped] = useState("");
  const own = typed.trim() === "" ? null : readMoney(typed);
  const given = typed.trim() === "" ? tendered : (own ?? 0);
  const isEnough = given >= dueCents;
  return (
    <View style={styles.list}>
      <Words strong>Handed over</Words>
      <Choices
        label="Handed over"
        options={choices.map((cents) => ({ value: String(cents), label: showMoney(cents) }))}
        value={typed === "" ? String(tendered) : null}
        onChoose={(value) => {
          setTendered(Number(value));
          setTyped("");
        }}
      />
      <Field
        label="Another amount"
        inputMode="decimal"
        value={typed}
        onChangeText={setTyped}
        error={
          typed.trim() !== "" && own === null
            ? "an amount looks like 84.50"
            : !isEnough
              ? `at least ${showMoney(dueCents)} is needed`
              : null
        }
      />
      <Row strong left="Change to give back" right={showMoney(Math.max(0, given - dueCents))} />
      <FootAct
        disabled={!isEnough}
        label={`Take ${showMoney(dueCents)} in cash`}
        onPress={() =>
          sendCommand(workOrderId, { type: "takeCash", paymentId: uuid(), amountCents: dueCents, tenderedCents: given })
        }
        testID="take-cash"
      />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  ways: { flexDirection: "row", gap: SPACE.s },
  way: { flex: 1 },
});
