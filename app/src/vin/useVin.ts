import { useQuery } from "@tanstack/react-query";
import { cleanVin } from "@mechanon/core/vin";
import { routes, type KnownVehicle } from "@mechanon/contract";
import { call } from "../api/call";
import { vinClient } from "./vinClient";
import type { DecodedVin } from "./vinEngine";

export const VIN_LENGTH = 17;
/** What the app decodes in place of the server needs this many characters to say anything. */
const FEWEST = 4;

/** What a typed VIN says: on this device, with or without the network; and whether we know the car, when the server answers. */
export function useVin(typed: string): {
  vin: string;
  decoded: DecodedVin | undefined;
  known: KnownVehicle | null | undefined;
  /** The server did not answer: whether we know the car is not said. */
  isUnchecked: boolean;
  error: unknown;
  retry: () => void;
} {
  const vin = cleanVin(typed);
  const isWhole = vin.length >= VIN_LENGTH;
  const local = useQuery({
    queryKey: ["vinHere", vin],
    queryFn: () => vinClient().decode(vin),
    enabled: vin.length >= FEWEST,
    staleTime: Infinity,
    networkMode: "always",
    retry: false,
    placeholderData: (before) => (vin.length < VIN_LENGTH ? before : undefined),
  });
  const server = useQuery({
    queryKey: ["vin", vin],
    queryFn: () => call(routes.decodeVin, { params: { vin } }),
    enabled: isWhole,
    staleTime: 60_000,
    networkMode: "always",
    retry: false,
  });
  // Where this device has no VIN data, the server's word is taken.
  const fromServer = server.data && {
    ...server.data,
    likely: { drives: server.data.variants.drives, transmissions: [] },
  };
  const decoded = local.data ?? (local.error ? (fromServer as DecodedVin | undefined) : undefined);
  return {
    vin,
    decoded: decoded && decoded.report.vin === vin ? decoded : undefined,
    known: isWhole ? server.data?.known : undefined,
    isUnchecked: isWhole && server.error !== null,
    error: local.error && server.error ? server.error : null,
    retry: () => {
      void local.refetch();
      void server.refetch();
    },
  };
}
