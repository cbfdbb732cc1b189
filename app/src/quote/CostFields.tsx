import { StyleSheet, View } from "react-native";
import { readMoney, type QuoteLine } from "@mechanon/core";
import { useRight } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { FigureField } from "./FigureField";
import { readAmount } from "./readAmount";

interface CostFieldsProps {
  workOrderId: string;
  line: QuoteLine;
  onFault: (label: string, isFault: boolean) => void;
}

const money = (cents: number): string => (cents / 100).toFixed(2);

/** What a part or work bought in costs, for who may see and change that. */
export function CostFields({ workOrderId, line, onFault }: CostFieldsProps) {
  const mayPrice = useRight("changePrices");
  const seesCost = useRight("seeCost");
  if (!mayPrice || !seesCost || (line.kind !== "part" && line.kind !== "sublet") || line.costCents === null)
    return null;
  if (line.kind === "part" && line.isCustomers) return null;
  const edit = (change: { costCents?: number; percent?: number }): void =>
    sendCommand(workOrderId, { type: "editLine", lineId: line.id, change });
  return (
    <>
      <View style={styles.field}>
        <FigureField
          label={line.kind === "sublet" ? "It costs us" : "Cost each"}
          value={line.costCents}
          show={money}
          read={readMoney}
          looksLike="an amount looks like 84.50"
          onSave={(costCents) => edit({ costCents })}
          onFault={onFault}
        />
      </View>
      {line.kind === "sublet" ? (
        <View style={styles.field}>
          <FigureField
            label="Percent on top"
            value={line.percent}
            show={String}
            read={readAmount}
            looksLike="a number like 20 or 12.5"
            onSave={(percent) => edit({ percent })}
            onFault={onFault}
          />
        </View>
      ) : null}
    </>
  );
}

const styles = StyleSheet.create({ field: { flexGrow: 1, flexBasis: 110 } });
