import { useQuery } from "@tanstack/react-query";
import { useDeferredValue } from "react";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import type { StreetOffer } from "./streets";

/** A number and the beginning of a street: less is everywhere. */
const WORTH_ASKING = /^\s*\d+\w?\s+\S{4,}/;

/** Addresses that what is typed may mean, with the point of the house; none while it is short or nobody can be asked. */
export function useAddresses(street: string): StreetOffer[] {
  const typed = useDeferredValue(street.trim());
  const { data } = useQuery({
    queryKey: ["addresses", typed],
    queryFn: () => call(routes.findAddresses, { query: { typed } }),
    enabled: WORTH_ASKING.test(typed),
    retry: false,
    staleTime: Infinity,
  });
  return (data?.addresses ?? []).map(({ street: address, ...place }) => ({
    address,
    street: { ...place, name: address.replace(/^\s*\d+\w?\s+/, "") },
  }));
}
