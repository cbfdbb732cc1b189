import { StyleSheet, View } from "react-native";
import { askedQuote, explainedWorkOrder, payerName, type WorkOrderState } from "@mechanon/core";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { WhyFigure } from "./WhyFigure";
import { WhyRows } from "./WhyRows";

/** What the quote comes to, each figure with how it came about; jobs put off or declined left out. */
export function QuoteTotals({ state }: { state: WorkOrderState }) {
  const asked = askedQuote(state);
  const { payers, total } = explainedWorkOrder(asked);
  const paying = [...payers].filter(([, { cents, steps }]) => cents > 0 || steps.some(({ rule }) => rule === "job"));
  const isSplit = paying.length > 1;
  return (
    <View style={styles.list}>
      {paying.map(([id, payer]) => (
        <View key={id} style={styles.list}>
          {isSplit ? (
            <WhyFigure label={payerName(state, id)} cents={payer.cents} strong>
              <WhyRows explained={payer} quote={asked} />
            </WhyFigure>
          ) : null}
          {payer.supplies.cents > 0 ? (
            <WhyFigure label="Shop supplies" cents={payer.supplies.cents}>
              <WhyRows explained={payer.supplies} quote={asked} />
            </WhyFigure>
          ) : null}
          {[...payer.taxes].map(([taxId, tax]) => (
            <WhyFigure key={taxId} label={`Tax, ${taxId}`} cents={tax.cents}>
              <WhyRows explained={tax} quote={asked} />
              {tax.base.steps.length > 0 ? (
                <>
                  <Words size="small" tone="muted" style={styles.of}>
                    Taken of
                  </Words>
                  <WhyRows explained={tax.base} quote={asked} />
                </>
              ) : null}
            </WhyFigure>
          ))}
        </View>
      ))}
      <WhyFigure label="Quote total" cents={total.cents} strong rule>
        {paying.map(([id, payer]) => (
          <WhyRows
            key={id}
            explained={
              isSplit ? { cents: payer.cents, steps: [{ rule: "payer", payerId: id, cents: payer.cents }] } : payer
            }
            quote={asked}
          />
        ))}
      </WhyFigure>
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.xs }, of: { paddingLeft: SPACE.m } });
