import { StyleSheet, View } from "react-native";
import { libraryPart, otherPartLastTime, showDate, type PartLine } from "@mechanon/core";
import { partWords } from "../cars/carWords";
import { useCarSheet } from "../cars/useCarSheet";
import type { Business } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

interface PartLastTimeProps {
  workOrderId: string;
  line: PartLine;
  vehicleId: string;
  business: Business;
}

/** The part of this name that was used on the car the last time, where the line has another: one tap takes that one. */
export function PartLastTime({ workOrderId, line, vehicleId, business: { library, timeZone } }: PartLastTimeProps) {
  const { sheet } = useCarSheet(vehicleId);
  const used = sheet && otherPartLastTime(line, sheet.lastService.parts);
  if (!used) return null;
  const { description, partNumber, brand } = used;
  return (
    <View style={styles.list}>
      <Words size="small" figures>
        {`Last time, ${showDate(used.at, timeZone)}: ${partWords(used)}`}
      </Words>
      <Button
        label="Take the same as last time"
        onPress={() => sendCommand(workOrderId, { type: "usePart", lineId: line.id, description, partNumber, brand })}
      />
      <Words size="small" tone="muted">
        {libraryPart(library, used) ? "At the library’s price for it." : "The price stays as it is."}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.xs } });
