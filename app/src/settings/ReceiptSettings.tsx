import { useQueryClient } from "@tanstack/react-query";
import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { countOf } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { z } from "zod";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useBusiness, type Business } from "../session/useSession";
import { FormField } from "../ui/FormField";
import { Heading } from "../ui/Heading";
import { Screen } from "../ui/Screen";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { SaveFoot } from "./SaveFoot";
import { wholeNumber } from "./wholeNumber";

const MOST_MONTHS = 120;
const RANGE = `a whole number from 1 to ${MOST_MONTHS}`;
const linkMonths = z.object({
  months: z.string().transform(wholeNumber).pipe(z.int(RANGE).min(1, RANGE).max(MOST_MONTHS, RANGE)),
});

/** How long a receipt can be opened by the link it was sent with. */
export function ReceiptSettings() {
  const business = useBusiness();
  if (!business)
    return (
      <Screen title="Receipts">
        <WaitingRows label="Loading the settings" />
      </Screen>
    );
  return <Months business={business} />;
}

function Months({ business }: { business: Business }) {
  const queries = useQueryClient();
  const [said, setSaid] = useState<{ kind: "note" | "fault"; text: string } | null>(null);
  const { control, handleSubmit } = useForm<z.input<typeof linkMonths>, unknown, z.output<typeof linkMonths>>({
    resolver: zodResolver(linkMonths),
    mode: "onChange",
    defaultValues: { months: String(business.settings.receiptLinkMonths) },
  });
  const save = handleSubmit(async ({ months }) => {
    try {
      await call(routes.changeReceiptLinks, { body: { months } });
      await queries.invalidateQueries({ queryKey: ["business"] });
      setSaid({ kind: "note", text: `Saved. Links open for ${countOf(months, "month")}, those sent before too.` });
    } catch (error) {
      setSaid({ kind: "fault", text: errorWords(error) });
    }
  });
  return (
    <Screen title="Receipts" measured foot={<SaveFoot said={said} onSave={save} testID="save-receipts" />}>
      <Heading level={1}>How long receipts open</Heading>
      <Words tone="muted">
        A receipt sent by text opens by its link for so many months. It ends sooner when the work order goes to another
        customer or car, or when the link is called back.
      </Words>
      <FormField control={control} name="months" label="Months" inputMode="numeric" onTyped={() => setSaid(null)} />
    </Screen>
  );
}
