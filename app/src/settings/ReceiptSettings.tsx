import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { countOf } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useBusiness, type Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { Waiting } from "../ui/Waiting";
import { Words } from "../ui/Words";
import { wholeNumber } from "./wholeNumber";

const MOST_MONTHS = 120;

/** How long a receipt can be opened by the link it was sent with. */
export function ReceiptSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Receipts">
        <Waiting label="Loading the settings" />
      </Screen>
    );
  return <Months business={business} />;
}

function Months({ business }: { business: Business }) {
  const queries = useQueryClient();
  const [typed, setTyped] = useState(String(business.settings.receiptLinkMonths));
  const [said, setSaid] = useState<{ kind: "note" | "fault"; text: string } | null>(null);
  const months = wholeNumber(typed);
  const fits = months !== null && months >= 1 && months <= MOST_MONTHS;
  const save = async (): Promise<void> => {
    if (!fits) return;
    try {
      await call(routes.changeReceiptLinks, { body: { months } });
      await queries.invalidateQueries({ queryKey: ["business"] });
      setSaid({ kind: "note", text: `Saved. Links open for ${countOf(months, "month")}, those sent before too.` });
    } catch (error) {
      setSaid({ kind: "fault", text: errorWords(error) });
    }
  };
  return (
    <Screen
      title="Receipts"
      measured
      foot={
        <>
          {said ? <Notice kind={said.kind} text={said.text} /> : null}
          <Button kind="next" disabled={!fits} label="Save" onPress={() => void save()} testID="save-receipts" />
        </>
      }
    >
      <Heading level={1}>How long receipts open</Heading>
      <Words tone="muted">
        A receipt sent by text opens by its link for so many months. It ends sooner when the work order goes to another
        customer or car, or when the link is called back.
      </Words>
      <Field
        label="Months"
        inputMode="numeric"
        value={typed}
        onChangeText={(text) => {
          setTyped(text);
          setSaid(null);
        }}
        error={fits ? null : `a whole number from 1 to ${MOST_MONTHS}`}
      />
    </Screen>
  );
}
