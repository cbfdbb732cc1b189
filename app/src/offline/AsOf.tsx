import { showTime } from "@mechanon/core";
import { useReachable } from "../api/reachable";
import { useBusiness } from "../session/useSession";
import { Words } from "../ui/Words";

interface AsOfProps {
  /** In milliseconds; 0: never. */
  answeredAt: number;
  align?: "left" | "center";
}

/** Without a signal: when the server last answered what is shown here. */
export function AsOf({ answeredAt, align = "left" }: AsOfProps) {
  const zone = useBusiness()?.timeZone ?? "utc";
  const isReachable = useReachable((state) => state.isReachable);
  if (isReachable || answeredAt === 0) return null;
  return (
    <Words size="small" tone="muted" align={align} figures role="status">
      {`No signal; as of ${showTime(new Date(answeredAt).toISOString(), zone)}`}
    </Words>
  );
}
