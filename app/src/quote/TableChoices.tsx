import { tableTitle, type MoneyRules, type PartLine } from "@mechanon/core";
import { useRight } from "../session/useSession";
import { sendCommand } from "../sync/give";
import { Choices } from "../ui/Choices";

interface TableChoicesProps {
  workOrderId: string;
  line: PartLine;
  rules: MoneyRules;
}

const BY_HAND = "";

/** The table a part's price is made by, for who may see and change that; a price that was typed stands beside them. */
export function TableChoices({ workOrderId, line, rules }: TableChoicesProps) {
  const mayPrice = useRight("changePrices");
  const seesCost = useRight("seeCost");
  const tables = Object.keys(rules.pricing.markup ?? {});
  if (!mayPrice || !seesCost || line.costCents === null || line.isCustomers || tables.length === 0) return null;
  return (
    <Choices
      label={`Priced by, ${line.description}`}
      options={[
        ...tables.map((table) => ({ value: table, label: `Table “${tableTitle(rules, table)}”` })),
        ...(line.priceCents === null ? [] : [{ value: BY_HAND, label: "Price of its own" }]),
      ]}
      value={line.priceCents === null ? line.markup : BY_HAND}
      onChoose={(markup) =>
        markup === BY_HAND
          ? undefined
          : sendCommand(workOrderId, { type: "editLine", lineId: line.id, change: { markup } })
      }
    />
  );
}
