import { useQuery } from "@tanstack/react-query";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";

const FEWEST_SIGNS = 5;

export interface Town {
  town: string;
  region: string;
}

/** The towns of a postcode as it is typed; none while it is short or nobody knows it. */
export function useTowns(postcode: string): Town[] {
  const typed = postcode.trim();
  const { data } = useQuery({
    queryKey: ["postcode", typed],
    queryFn: () => call(routes.lookUpPostcode, { params: { postcode: typed } }),
    enabled: typed.length >= FEWEST_SIGNS,
    retry: false,
    staleTime: Infinity,
  });
  return data?.towns ?? [];
}
