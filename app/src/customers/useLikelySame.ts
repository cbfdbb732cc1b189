import { useQuery } from "@tanstack/react-query";
import { useDeferredValue } from "react";
import { customerFields, routes, type CustomerFields, type LikelySame } from "@mechanon/contract";
import { call } from "../api/call";

/** Who may be the one being typed; what does not fit yet is left out, so that half a phone stops nothing. */
export function useLikelySame(fields: Partial<CustomerFields>, id: string, enabled = true): LikelySame[] {
  const typed = useDeferredValue(JSON.stringify(readable(fields)));
  const { data } = useQuery({
    queryKey: ["likely", id, typed],
    queryFn: () => call(routes.likelyCustomers, { body: { id, name: fields.name ?? "", ...readable(fields) } }),
    enabled: enabled && typed !== "{}",
    placeholderData: (before) => before,
  });
  return data?.likely ?? [];
}

/** The parts of what was typed that can be compared. */
function readable({
  name,
  phones = [],
  emails = [],
  serviceAddresses = [],
}: Partial<CustomerFields>): Partial<CustomerFields> {
  const { shape } = customerFields;
  const fitting = {
    phones: phones.filter((phone) => shape.phones.safeParse([phone]).success),
    emails: emails.filter((email) => shape.emails.safeParse([email]).success),
    serviceAddresses: serviceAddresses.filter(({ place }) => place.street.trim() !== ""),
  };
  const isNamed = (name ?? "").trim().length > 2;
  if (!isNamed && fitting.phones.length + fitting.emails.length === 0) return {};
  return { ...(isNamed ? { name } : {}), ...fitting };
}
