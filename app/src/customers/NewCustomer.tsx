import { useRouter } from "expo-router";
import { useState } from "react";
import { noDetails } from "@mechanon/core";
import type { CustomerFields } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { give } from "../sync/give";
import { useUnsavedState } from "../unsaved/useUnsavedState";
import { CustomerForm } from "./form/CustomerForm";
import { KnownStrip } from "./KnownStrip";
import { likelyCard, noneCard } from "./stripCards";
import { useLikelySame } from "./useLikelySame";

const EMPTY: CustomerFields = {
  kind: "person",
  name: "",
  ...noDetails(),
  phones: [{ number: "", extension: null, label: "" }],
};

/** A customer without a work order yet. */
export function NewCustomer() {
  const router = useRouter();
  // Found again with what was typed: sent twice, it makes one customer.
  const { value: id, set: keepId, drop } = useUnsavedState("customer/new/id", z.uuid(), useState(() => uuid())[0]);
  const [notTheSameAs, setNotTheSameAs] = useState<string[]>([]);
  return (
    <CustomerForm
      title="New customer"
      form="customer/new"
      initial={EMPTY}
      saveLabel="Save the customer"
      beside={(fields) => <Likely id={id} fields={fields} seen={notTheSameAs} onOthers={setNotTheSameAs} />}
      onSave={async (fields) => {
        keepId(id);
        await give([{ kind: "customer", target: id, id, body: { ...fields, notTheSameAs, keepTwice: true } }]);
        drop();
        router.replace(`/customers/${id}`);
      }}
    />
  );
}

interface LikelyProps {
  id: string;
  fields: CustomerFields;
  seen: readonly string[];
  onOthers: (ids: string[]) => void;
}

function Likely({ id, fields, seen, onOthers }: LikelyProps) {
  const router = useRouter();
  const likely = useLikelySame(fields, id).filter(({ customer }) => !seen.includes(customer.id));
  const seeOthers = (): void => onOthers([...seen, ...likely.map(({ customer }) => customer.id)]);
  return (
    <>
      <KnownStrip
        cards={[
          ...likely.map((each) => likelyCard(each, () => router.replace(`/customers/${each.customer.id}`))),
          ...(likely.length > 0 ? [noneCard(seeOthers)] : []),
        ]}
        instead="Whoever may be the same shows up in this place."
      />
    </>
  );
}
