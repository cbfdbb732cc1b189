import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { DISCOUNTED, type QuoteDiscount, type WorkOrderState } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { useToday } from "../day/useDay";
import { useRight, type Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { discountWords, readDiscount } from "./discountWords";
import { offersFor } from "./offersFor";

const ON_TITLES: Record<QuoteDiscount["on"], string> = { all: "Everything", labor: "Labor", part: "Parts" };

interface QuoteDiscountsProps {
  state: WorkOrderState;
  business: Business;
  /** How the customer found us; null: not known. */
  foundUsBy: string | null;
}

/** What is taken off the whole quote: what the owner grants, a code, or what is typed. */
export function QuoteDiscounts({ state, business, foundUsBy }: QuoteDiscountsProps) {
  const today = useToday();
  const mayPrice = useRight("changePrices");
  const [isOpen, setOpen] = useState(false);
  const discounts = state.discounts ?? [];
  const offers = offersFor(business.settings.rules.offers ?? [], discounts, foundUsBy, today);
  const grant = (offer: { id: string } | { code: string }): void =>
    sendCommand(state.id, { type: "useOffer", discountId: uuid(), offer, day: today });
  return (
    <View style={styles.list}>
      {discounts.map(({ id, title, on, off }) => (
        <View key={id} style={styles.row}>
          <Words figures style={styles.grow}>{`${title}: ${discountWords(off)}, ${ON_TITLES[on].toLowerCase()}`}</Words>
          <Button
            kind="quiet"
            label="Take back"
            spoken={`Take back ${title}`}
            onPress={() => sendCommand(state.id, { type: "removeDiscount", discountId: id })}
          />
        </View>
      ))}
      {offers.fitting.map(({ id, title, off }) => (
        <Button
          key={id}
          label={`${title}: ${discountWords(off)}`}
          spoken={`${title}: ${discountWords(off)}, take it off`}
          onPress={() => grant({ id })}
        />
      ))}
      {isOpen ? (
        <DiscountForm
          others={offers.others}
          mayPrice={mayPrice}
          hasCodes={offers.hasCodes}
          onOffer={grant}
          onAdd={(discount) => sendCommand(state.id, { type: "addDiscount", discountId: uuid(), ...discount })}
          onClose={() => setOpen(false)}
        />
      ) : mayPrice || offers.hasCodes || offers.others.length > 0 ? (
        <Button kind="quiet" label="Take something off the whole" onPress={() => setOpen(true)} />
      ) : null}
    </View>
  );
}

interface DiscountFormProps {
  others: readonly { id: string; title: string }[];
  mayPrice: boolean;
  hasCodes: boolean;
  onOffer: (offer: { id: string } | { code: string }) => void;
  onAdd: (discount: Pick<QuoteDiscount, "title" | "on" | "off">) => void;
  onClose: () => void;
}

function DiscountForm({ others, mayPrice, hasCodes, onOffer, onAdd, onClose }: DiscountFormProps) {
  const [on, setOn] = useState<QuoteDiscount["on"]>("all");
  const [typed, setTyped] = useState("");
  const [title, setTitle] = useState("");
  const [code, setCode] = useState("");
  const off = readDiscount(typed);
  return (
    <View style={styles.list} role="group" aria-label="Take something off the whole">
      {others.map((offer) => (
        <Button key={offer.id} label={offer.title} onPress={() => (onOffer({ id: offer.id }), onClose())} />
      ))}
      {hasCodes ? (
        <View style={styles.row}>
          <Field
            label="Code"
            value={code}
            onChangeText={setCode}
            autoCapitalize="characters"
            maxLength={40}
            style={styles.grow}
          />
          <Button
            label="Use the code"
            disabled={code.trim() === ""}
            onPress={() => (onOffer({ code: code.trim() }), onClose())}
          />
        </View>
      ) : null}
      {mayPrice ? (
        <>
          <Choices
            even
            label="Taken off"
            options={[...DISCOUNTED].reverse().map((value) => ({ value, label: ON_TITLES[value] }))}
            value={on}
            onChoose={setOn}
          />
          <Field label="What for" value={title} onChangeText={setTitle} maxLength={60} hint="Discount" />
          <Field
            label="How much"
            value={typed}
            onChangeText={setTyped}
            hint="10% or 25.00"
            error={off === undefined ? "10% or 25.00" : null}
          />
          <Button
            label="Take it off"
            disabled={!off}
            onPress={() => {
              if (!off) return;
              onAdd({ title: title.trim() || "Discount", on, off });
              onClose();
            }}
          />
        </>
      ) : null}
      <Button kind="quiet" label="Leave it" spoken="Leave the discount" onPress={onClose} />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s, alignItems: "flex-end" },
  grow: { flex: 1 },
});
