import type { MoneyRules, QuoteLine } from "@mechanon/core";
import { rateChoices } from "../jobLibrary/rateWords";
import { sendCommand } from "../sync/give";
import { Choices } from "../ui/Choices";
import { Tick } from "../ui/Tick";
import { PartChoices } from "./PartChoices";
import { WhoDoesIt } from "./WhoDoesIt";

interface LineChoicesProps {
  workOrderId: string;
  line: QuoteLine;
  rules: MoneyRules;
}

/** What is one tap on a line: the rate of the house, the work included on the customer's paper, who brings the part. */
export function LineChoices({ workOrderId, line, rules }: LineChoicesProps) {
  if (line.kind === "labor")
    return (
      <>
        {rules.rates?.length ? (
          <Choices
            label={`Rate of ${line.description}`}
            options={rateChoices(rules)}
            value={line.rate ? (line.rate.id ?? "") : null}
            onChoose={(id) =>
              sendCommand(workOrderId, { type: "chooseRate", lineId: line.id, rateId: id === "" ? null : id })
            }
          />
        ) : null}
        <WhoDoesIt workOrderId={workOrderId} line={line} />
        {line.steps ? (
          <Tick
            label="The customer’s paper says what is included"
            value={line.showsIncluded ?? false}
            onChange={(isShown) => sendCommand(workOrderId, { type: "showIncluded", lineId: line.id, isShown })}
          />
        ) : null}
      </>
    );
  if (line.kind === "part") return <PartChoices workOrderId={workOrderId} line={line} rules={rules} />;
  return null;
}
