import { useState } from "react";
import type { Customer } from "@mechanon/contract";
import { changeCustomer, customerNotTaken } from "../sync/changeKept";
import { customerRecord } from "../sync/keptRecords";
import { CustomerForm } from "./form/CustomerForm";

interface EditCustomerProps {
  customer: Customer;
  onLeave: () => void;
}

/** A customer, changed from how they were shown when it was opened; it waits for a signal like all that is done. */
export function EditCustomer({ customer, onLeave }: EditCustomerProps) {
  const [from] = useState(() => customerRecord(customer));
  const [refused] = useState(() => customerNotTaken(customer.id));
  return (
    <CustomerForm
      title={`Change ${customer.name}`}
      form={`customer/${customer.id}`}
      onLeave={onLeave}
      initial={{ ...from, ...refused.fields }}
      saveLabel="Save"
      onSave={async (fields) => {
        await changeCustomer(customer.id, from, fields);
        await refused.settle();
        onLeave();
      }}
    />
  );
}
