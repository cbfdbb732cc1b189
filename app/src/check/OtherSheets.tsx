import { StyleSheet, View } from "react-native";
import type { SheetAtHand } from "@mechanon/core";
import { routes, type WorkOrderView } from "@mechanon/contract";
import { addressOf } from "../api/call";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { useSheetsHere } from "./useSheetsHere";

interface OtherSheetsProps {
  view: WorkOrderView;
  business: Business;
  /** The one that is shown. */
  sheet: SheetAtHand | undefined;
  onTaken: (sheetId: string) => void;
  onClose: () => void;
}

/** What can be done with sheets: another one taken out, this one left out, closed early, opened again, printed blank. */
export function OtherSheets({ view: { state, ...view }, business, sheet, onTaken, onClose }: OtherSheetsProps) {
  const { sheets } = useSheetsHere({ state, ...view }, business);
  const others = business.settings.sheets.filter(({ id }) => !sheets.some(({ sheetId }) => sheetId === id));
  return (
    <View style={styles.list}>
      {sheet ? (
        <View style={styles.row}>
          {sheet.closedAt === null ? (
            <Button kind="quiet" label="Close it as it is" onPress={onClose} />
          ) : (
            <Button
              label="Open it again"
              onPress={() => sendCommand(state.id, { type: "reopenSheet", sheetId: sheet.sheetId })}
            />
          )}
          {sheet.closedAt === null ? (
            <Button
              kind="quiet"
              label="Leave this sheet out"
              onPress={() => sendCommand(state.id, { type: "leaveOutSheet", sheetId: sheet.sheetId })}
            />
          ) : null}
          <Button
            kind="quiet"
            label="Blank on paper"
            onPress={() => window.open(addressOf(routes.blankSheet.path, { id: sheet.sheetId }), "_blank")}
          />
        </View>
      ) : (
        <Words tone="muted">No sheet comes by itself here. Take one out below.</Words>
      )}
      {others.length > 0 ? (
        <>
          <Heading level={2}>Take another sheet out</Heading>
          <View style={styles.row}>
            {others.map(({ id, title, pointIds }) => (
              <Button
                key={id}
                label={`${title}, ${pointIds.length}`}
                onPress={() => {
                  sendCommand(state.id, { type: "startSheet", sheetId: id });
                  onTaken(id);
                }}
                testID={`take-${id}`}
              />
            ))}
          </View>
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s, marginTop: SPACE.l },
  row: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
});
