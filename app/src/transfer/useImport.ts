import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback } from "react";
import { routes, type ImportView } from "@mechanon/contract";
import { call } from "../api/call";
import { isUnderWay } from "./fieldWords";

const POLL_MS = 400;

/** An import as it moves on; asked again while the server works on it. */
export function useImport(id: string | null): {
  file: ImportView | undefined;
  error: unknown;
  set: (file: ImportView) => void;
} {
  const queries = useQueryClient();
  const { data, error } = useQuery({
    queryKey: ["import", id],
    queryFn: () => call(routes.getImport, { params: { id: id ?? "" } }),
    enabled: id !== null,
    refetchInterval: ({ state }) => (state.data && isUnderWay(state.data) ? POLL_MS : false),
  });
  const set = useCallback(
    (file: ImportView) => {
      queries.setQueryData(["import", file.id], file);
      void queries.invalidateQueries({ queryKey: ["imports"] });
      void queries.invalidateQueries({ queryKey: ["importRows", file.id] });
    },
    [queries],
  );
  return { file: data, error, set };
}
