import {
  PART_CONDITIONS,
  PART_KINDS,
  PART_KIND_TITLES,
  type MoneyRules,
  type PartKind,
  type PartLine,
} from "@mechanon/core";
import { sendCommand } from "../sync/give";
import { Choices } from "../ui/Choices";
import { Tick } from "../ui/Tick";
import { CONDITION_TITLES } from "./conditionWords";
import { TableChoices } from "./TableChoices";

interface PartChoicesProps {
  workOrderId: string;
  line: PartLine;
  rules: MoneyRules;
}

/** What a part is: who brings it, new or not, of which kind. */
export function PartChoices({ workOrderId, line, rules }: PartChoicesProps) {
  const edit = (change: { condition?: (typeof PART_CONDITIONS)[number]; partKind?: PartKind }): void =>
    sendCommand(workOrderId, { type: "editLine", lineId: line.id, change });
  return (
    <>
      <Tick
        label="The customer brings this part"
        value={line.isCustomers ?? false}
        onChange={(isCustomers) => sendCommand(workOrderId, { type: "customersPart", lineId: line.id, isCustomers })}
      />
      {line.isCustomers ? null : (
        <>
          <Choices
            label={`Condition of ${line.description}`}
            options={PART_CONDITIONS.map((value) => ({ value, label: CONDITION_TITLES[value] }))}
            value={line.condition ?? "new"}
            onChoose={(condition) => edit({ condition })}
          />
          <Choices
            label={`Kind of ${line.description}`}
            options={PART_KINDS.map((value) => ({ value, label: PART_KIND_TITLES[value] }))}
            value={line.partKind ?? "aftermarket"}
            onChoose={(partKind) => edit({ partKind })}
          />
          <TableChoices workOrderId={workOrderId} line={line} rules={rules} />
        </>
      )}
    </>
  );
}
