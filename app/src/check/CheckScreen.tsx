import { useRouter } from "expo-router";
import { useWorkOrder } from "../sync/useWorkOrder";
import { useBusiness } from "../session/useSession";
import { SheetWaits } from "../sheet/SheetWaits";
import { Button } from "../ui/Button";
import { CheckSheet } from "./CheckSheet";

/** The check of a car by itself, from the first point to the last. */
export function CheckScreen({ id }: { id: string }) {
  const router = useRouter();
  const business = useBusiness();
  const { view, asOf, error, refetch } = useWorkOrder(id);
  if (view && business) return <CheckSheet view={view} business={business} asOf={asOf} />;
  return (
    <SheetWaits title="Check" error={error} onRetry={refetch}>
      <Button kind="quiet" label="To the work order" onPress={() => router.navigate(`/work/${id}`)} />
    </SheetWaits>
  );
}
