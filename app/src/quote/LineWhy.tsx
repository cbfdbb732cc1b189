import { StyleSheet, View } from "react-native";
import {
  explainedWorkOrder,
  marginsOf,
  showMoney,
  tableTitle,
  unitPriceWords,
  type QuoteLine,
  type QuoteSlice,
} from "@mechanon/core";
import { includedWords, sourceWords } from "../jobLibrary/fitWords";
import { rateWords } from "../jobLibrary/rateWords";
import { useRight } from "../session/useSession";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { MarginBar } from "./MarginBar";
import { WhyRows } from "./WhyRows";

interface LineWhyProps {
  line: QuoteLine;
  quote: QuoteSlice;
}

/** How a line's figures came about: its hours or amount, its price, what was taken off, what is left of it. */
export function LineWhy({ line, quote }: LineWhyProps) {
  const seesCost = useRight("seeCost");
  const explained = explainedWorkOrder(quote).lines.get(line.id);
  const margin = marginsOf(quote).lines.get(line.id);
  if (!explained) return null;
  const { unitPrice } = explained;
  const rated = rateWords(line, quote.rules);
  const table = line.kind === "part" && line.markup !== null ? tableTitle(quote.rules, line.markup) : "";
  const said = [
    ...(line.byHand ? [line.kind === "labor" ? "Hours typed by hand" : "Quantity typed by hand"] : []),
    ...sourceWords(line),
    ...(line.kind === "labor" && line.steps && line.steps.length > 0 ? [includedWords(line.steps)] : []),
    ...(rated ? [rated] : []),
    ...(line.kind === "part" && line.isCustomers ? ["Brought by the customer: no price, no markup"] : []),
    ...(unitPrice && seesCost ? unitPriceWords(unitPrice, table) : []),
    ...(line.priceByHand ? [line.kind === "labor" ? "Rate typed by hand" : "Price typed by hand"] : []),
    ...(line.kind === "fee" && line.feeId !== undefined ? ["The owner’s fee: it hangs on what is in the job"] : []),
    ...(line.taxIds ? [line.taxIds.length === 0 ? "No tax on it" : `Taxes on it: ${line.taxIds.join(", ")}`] : []),
  ];
  return (
    <View style={styles.list} role="group" aria-label={`How ${line.description} comes about`}>
      {said.map((words) => (
        <Words key={words} size="small" figures>
          {words}
        </Words>
      ))}
      <WhyRows explained={explained} quote={quote} />
      <Row strong rule left="Together" right={showMoney(explained.cents)} />
      {seesCost && margin ? (
        <>
          <Row tone="muted" left="It costs us" right={showMoney(margin.costCents)} />
          <MarginBar label="Left" margin={margin} targetPercent={quote.rules.targetMarginPercent} />
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.xs } });
