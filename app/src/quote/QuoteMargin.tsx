import { StyleSheet, View } from "react-native";
import { askedQuote, earnedByPerson, leftPerHourCents, marginsOf, priceWorkOrder, showMoney } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { driveMinutesThere } from "./driveMinutesThere";
import { MarginBar } from "./MarginBar";
import { marginWords } from "./marginWords";

interface QuoteMarginProps {
  view: WorkOrderView;
  business: Business;
}

/** What is left of the quote, and for an hour with the driving counted; who earns what with it. */
export function QuoteMargin({ view, business }: QuoteMarginProps) {
  const asked = askedQuote(view.state);
  const { all, hours } = marginsOf(asked);
  const drive = driveMinutesThere(view, business);
  const perHour = leftPerHourCents(all.leftCents, hours, drive ?? 0);
  const target = view.state.rules.targetMarginPercent;
  return (
    <View style={styles.list} role="group" aria-label="Margin">
      {earnedByPerson(priceWorkOrder(asked, "all"), asked).map(({ personId, hours: credited, cents }) => (
        <Row
          key={personId}
          tone="muted"
          left={`${nameOf(business, personId)}, credited ${credited} h`}
          right={showMoney(cents)}
        />
      ))}
      <MarginBar label="Left of the quote" margin={all} targetPercent={target} />
      <Words tone="muted" figures>
        {`Margin: ${marginWords(all, target)}`}
      </Words>
      {perHour === null ? null : (
        <Words tone="muted" figures>
          {drive === null
            ? `${showMoney(perHour)} an hour for ${hours} h of work; the driving is not known yet`
            : `${showMoney(perHour)} an hour for ${hours} h of work and ${drive} min of driving`}
        </Words>
      )}
    </View>
  );
}

function nameOf({ people }: Business, personId: string): string {
  return people.find(({ id }) => id === personId)?.name ?? "Somebody who left";
}

const styles = StyleSheet.create({ list: { gap: SPACE.xs } });
