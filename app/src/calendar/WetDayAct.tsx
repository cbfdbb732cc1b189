import { useRouter } from "expo-router";
import { Button } from "../ui/Button";

/** On a wet day: new times for what needs it dry. */
export function WetDayAct({ date }: { date: string }) {
  const router = useRouter();
  return (
    <Button
      kind="quiet"
      label="Find dry times"
      spoken={`Find dry times, ${date}`}
      onPress={() => router.navigate(`/wet-day?date=${date}`)}
    />
  );
}
